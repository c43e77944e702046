export { type Delivery, impact, ballSpeedRatio } from './impact.js';
export { isSlowerThanTables, stockDelivery, TOUR_SEVEN_IRON_MPS } from './stock-delivery.js';
