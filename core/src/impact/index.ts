export { type Delivery, impact, ballSpeedRatio } from './impact.js';
export { stockDelivery, TOUR_SEVEN_IRON_MPS } from './stock-delivery.js';
