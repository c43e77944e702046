export { runOut, run } from './run-out.js';
export {
  AREAS,
  type Firmness,
  FIRMNESSES,
  type Grass,
  GRASSES,
  type Surface,
  MEDIUM_FAIRWAY,
  type Ground,
  groundOf,
} from './surface.js';
