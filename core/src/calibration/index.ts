export { FEWEST_TO_JUDGE, calibrationOf, calibrationWords } from './calibration.js';
export {
  type FoundCarry,
  type Prediction,
  type PredictionBasis,
  PREDICTION_BASES,
  predictedCarries,
} from './predicted-carries.js';
