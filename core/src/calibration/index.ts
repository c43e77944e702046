export { type Calibration, FEWEST_TO_JUDGE, calibrationOf } from './calibration.js';
export {
  type FoundCarry,
  type Prediction,
  type PredictionBasis,
  PREDICTION_BASES,
  predictedCarries,
} from './predicted-carries.js';
