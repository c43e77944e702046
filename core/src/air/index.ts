export { ZERO_CELSIUS_K, airDensity, airViscosity } from './humid-air.js';
export { GRAVITY, standardAtmosphere } from './standard-atmosphere.js';
