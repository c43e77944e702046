import { connect, type Socket } from 'node:net';
import { MAX_LINE_CHARACTERS, SILENCE_MS } from '@tasche/contract';
import { lineSplitter } from './line-splitter.js';

/** A connection to a device that is kept open for as long as the server runs. */
interface KeptLine {
  /** The connection that stands; undefined while none does. */
  socket(): Socket | undefined;
  /** The device has identified itself: the next break is reconnected at once. */
  heard(): void;
  close(): void;
}

interface KeptLineOptions {
  host: string;
  port: number;
  silenceMs?: number | undefined;
  onLine: (from: Socket, text: string) => void;
  /** Called with the beginning of a line that grew past the limit. */
  onTooLong: (from: Socket, start: string) => void;
  /** The line broke or fell silent. */
  onGone: () => void;
}

const FIRST_WAIT_MS = 300;
const LONGEST_WAIT_MS = 5000;

/**
 * Connects to a device, cuts what it says into lines, and connects again when the line breaks or nothing was
 * heard for too long.
 */
export function keptLine({
  host,
  port,
  silenceMs = SILENCE_MS,
  onLine,
  onTooLong,
  onGone,
}: KeptLineOptions): KeptLine {
  let socket: Socket | undefined;
  let closed = false;
  let wait = FIRST_WAIT_MS;
  let timer: NodeJS.Timeout | undefined;

  const again = () => {
    socket = undefined;
    onGone();
    if (closed || timer) return;
    timer = setTimeout(() => {
      timer = undefined;
      open();
    }, wait);
    timer.unref();
    wait = Math.min(wait * 2, LONGEST_WAIT_MS);
  };

  function open(): void {
    const fresh = connect({ host, port });
    socket = fresh;
    fresh.setEncoding('utf8').setKeepAlive(true).setTimeout(silenceMs);
    const split = lineSplitter(
      MAX_LINE_CHARACTERS,
      (line) => {
        onLine(fresh, line);
      },
      (start) => {
        onTooLong(fresh, start);
      },
    );
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
    socket: () => socket,
    heard() {
      wait = FIRST_WAIT_MS;
    },
    close() {
      closed = true;
      clearTimeout(timer);
      socket?.destroy();
    },
  };
}
