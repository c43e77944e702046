import { expose } from 'comlink';
import { sheetsOf } from './workbook';

const api = { sheetsOf };

export type WorkbookWorker = typeof api;
expose(api);
