import { expose } from 'comlink';
import { drawChart } from './draw-chart';

const api = { draw: drawChart };

export type ChartWorker = typeof api;
expose(api);
