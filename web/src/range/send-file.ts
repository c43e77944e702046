import type { StrikeImportOrder, StrikeImportReport } from '@tasche/contract';
import { NetworkError, ApiError, problemIn } from '../api/request';
import { signedOut, writeHeaders } from '../api/signed-in';

/** A file on its way to the server. */
export interface Sending {
  report: Promise<StrikeImportReport>;
  cancel: () => void;
}

/**
 * Sends a file with the order of how to read it. The server reads as it arrives, so what is sent is as far as it has got; cancelling hangs up,
 * and nothing is kept. (Of the browser's two ways to send, this is the one that tells how much has gone.)
 * @param onProgress from 0 to 1
 */
export function sendFile(
  playerId: string,
  file: Blob,
  order: StrikeImportOrder,
  take: 'none' | 'good',
  changeId: string,
  onProgress: (share: number) => void,
): Sending {
  const call = new XMLHttpRequest();
  const report = new Promise<StrikeImportReport>((resolve, reject) => {
    call.open('POST', `/api/players/${playerId}/strikes/import?take=${take}&changeId=${changeId}`);
    call.setRequestHeader('content-type', 'application/octet-stream');
    for (const [name, value] of Object.entries(writeHeaders())) call.setRequestHeader(name, value);
    call.responseType = 'json';
    call.upload.onprogress = ({ loaded, total }) => {
      onProgress(total > 0 ? loaded / total : 0);
    };
    call.onload = () => {
      if (call.status === 200) resolve(call.response as StrikeImportReport);
      else {
        const problem = problemIn(call.response);
        if (call.status === 401) void signedOut.trigger();
        if (problem && call.status < 500) reject(new ApiError(call.status, problem));
        else
          reject(
            new NetworkError(
              `${problem?.message ?? 'The server or its database cannot be reached.'} Nothing was taken.`,
            ),
          );
      }
    };
    call.onerror = () => {
      reject(new NetworkError('The server hung up; nothing was taken.'));
    };
    call.onabort = () => {
      reject(new NetworkError('Cancelled; nothing was taken.'));
    };
    call.send(new Blob([`${JSON.stringify(order)}\n`, file]));
  });
  return {
    report,
    cancel: () => {
      call.abort();
    },
  };
}
