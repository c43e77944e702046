import { EventEmitter } from 'node:events';
import { connect, type Socket } from 'node:net';
import {
  MAX_LINE_CHARACTERS,
  SILENCE_MS,
  readGaugeLine,
  type GaugeOrder,
  type GaugeReading,
  type GaugeView,
} from '@tasche/contract';
import type { Logger } from 'pino';
import { lineSplitter } from '../monitor/line-splitter.js';

/** The server's side of a digital loft-and-lie gauge. */
export interface GaugeLink {
  view(): GaugeView;
  /** Tells a simulated gauge what lies in it; false when there is none here. */
  measure(order: GaugeReading): boolean;
  /** Called for every reading, and when the gauge comes or goes; answers with what ends it. */
  on(listener: (reading: GaugeReading | null) => void): () => void;
  close(): void;
}

interface GaugeLinkOptions {
  host: string;
  port: number;
  log: Logger;
  silenceMs?: number;
}

const FIRST_WAIT_MS = 300;
const LONGEST_WAIT_MS = 5000;

/**
 * Holds a line to a gauge for as long as the server runs, and takes it up again when it breaks or falls silent. A reading is nobody's until a person
 * puts it on a club, so nothing is kept here; one that is sent twice is told once.
 */
export function linkGauge({ host, port, log, silenceMs = SILENCE_MS }: GaugeLinkOptions): GaugeLink {
  const events = new EventEmitter().setMaxListeners(0);
  let socket: Socket | undefined;
  let here: { device: string; simulated: boolean } | null = null;
  let last = { device: '', number: 0 };
  let closed = false;
  let wait = FIRST_WAIT_MS;
  let timer: NodeJS.Timeout | undefined;

  const tell = (reading: GaugeReading | null) => events.emit('reading', reading);

  const again = () => {
    socket = undefined;
    if (here) {
      here = null;
      tell(null);
    }
    if (closed || timer) return;
    timer = setTimeout(() => {
      timer = undefined;
      open();
    }, wait);
    timer.unref();
    wait = Math.min(wait * 2, LONGEST_WAIT_MS);
  };

  const onLine = (text: string) => {
    let line;
    try {
      line = readGaugeLine(text);
    } catch (err) {
      log.warn({ err }, 'a line of the gauge could not be read');
      return;
    }
    if (line.type === 'hello') {
      const { device, simulated } = line;
      if (last.device !== device) last = { device, number: 0 };
      here = { device, simulated };
      wait = FIRST_WAIT_MS;
      tell(null);
    } else if (line.type === 'reading' && here && line.number !== last.number) {
      const { type: _type, number, ...reading } = line;
      last = { device: here.device, number };
      tell(reading);
    }
  };

  function open(): void {
    const fresh = connect({ host, port });
    socket = fresh;
    fresh.setEncoding('utf8').setKeepAlive(true).setTimeout(silenceMs);
    const split = lineSplitter(MAX_LINE_CHARACTERS, onLine, () => {
      log.warn(`a line of the gauge of more than ${MAX_LINE_CHARACTERS} characters`);
    });
    fresh.on('data', (piece: Buffer | string) => {
      split(String(piece));
    });
    fresh.on('timeout', () => {
      fresh.destroy();
    });
    fresh.on('error', () => undefined);
    fresh.on('close', () => {
      if (socket === fresh) again();
    });
  }
  open();

  return {
    view: () => ({
      state: here === null ? 'away' : 'here',
      device: here?.device ?? null,
      simulated: here?.simulated ?? false,
    }),
    measure(reading) {
      if (!socket || socket.destroyed || !here?.simulated) return false;
      socket.write(`${JSON.stringify({ type: 'measure', ...reading } satisfies GaugeOrder)}\n`);
      return true;
    },
    on(listener) {
      events.on('reading', listener);
      return () => events.off('reading', listener);
    },
    close() {
      closed = true;
      clearTimeout(timer);
      socket?.destroy();
    },
  };
}
