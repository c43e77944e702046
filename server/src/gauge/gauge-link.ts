import { EventEmitter } from 'node:events';
import {
  MAX_LINE_CHARACTERS,
  readGaugeLine,
  type GaugeOrder,
  type GaugeReading,
  type GaugeView,
} from '@tasche/contract';
import type { Logger } from 'pino';
import { keptLine } from '../devices/kept-line.js';

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

/**
 * Keeps a connection to a gauge for as long as the server runs, and reconnects when it breaks or falls silent.
 * A reading belongs to no club until a person puts it on one, so nothing is kept here; one that is sent twice
 * is told once.
 */
export function linkGauge({ host, port, log, silenceMs }: GaugeLinkOptions): GaugeLink {
  const events = new EventEmitter().setMaxListeners(0);
  let here: { device: string; simulated: boolean } | null = null;
  let last = { device: '', number: 0 };

  const tell = (reading: GaugeReading | null) => events.emit('reading', reading);

  const onLine = (text: string) => {
    let said;
    try {
      said = readGaugeLine(text);
    } catch (err) {
      log.warn({ err }, 'a line of the gauge could not be read');
      return;
    }
    if (said.type === 'hello') {
      const { device, simulated } = said;
      if (last.device !== device) last = { device, number: 0 };
      here = { device, simulated };
      line.heard();
      tell(null);
    } else if (said.type === 'reading' && here && said.number !== last.number) {
      const { type: _type, number, ...reading } = said;
      last = { device: here.device, number };
      tell(reading);
    }
  };

  const line = keptLine({
    host,
    port,
    silenceMs,
    onLine: (_from, text) => {
      onLine(text);
    },
    onTooLong: () => {
      log.warn(`a line of the gauge of more than ${MAX_LINE_CHARACTERS} characters`);
    },
    onGone: () => {
      if (!here) return;
      here = null;
      tell(null);
    },
  });

  return {
    view: () => ({
      state: here === null ? 'away' : 'here',
      device: here?.device ?? null,
      simulated: here?.simulated ?? false,
    }),
    measure(reading) {
      const socket = line.socket();
      if (!socket || socket.destroyed || !here?.simulated) return false;
      socket.write(`${JSON.stringify({ type: 'measure', ...reading } satisfies GaugeOrder)}\n`);
      return true;
    },
    on(listener) {
      events.on('reading', listener);
      return () => events.off('reading', listener);
    },
    close() {
      line.close();
    },
  };
}
