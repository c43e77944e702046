import { NetworkError, ApiError, problemIn } from './request';
import { signedOut, writeHeaders } from './signed-in';

/** A file on its way to the server. */
export interface Sending<T> {
  answer: Promise<T>;
  cancel: () => void;
}

/**
 * Sends a file. The server reads as it arrives, so what is sent is as far as it has got; cancelling hangs up,
 * and nothing is kept. (Of the browser's two ways to send, this is the one that tells how much has gone.)
 * @param onProgress from 0 to 1
 */
export function sendFile<T>(path: string, file: Blob, onProgress: (share: number) => void): Sending<T> {
  const call = new XMLHttpRequest();
  const answer = new Promise<T>((resolve, reject) => {
    call.open('POST', `/api${path}`);
    call.setRequestHeader('content-type', 'application/octet-stream');
    for (const [name, value] of Object.entries(writeHeaders())) call.setRequestHeader(name, value);
    call.responseType = 'json';
    call.upload.onprogress = ({ loaded, total }) => {
      onProgress(total > 0 ? loaded / total : 0);
    };
    call.onload = () => {
      if (call.status === 200) resolve(call.response as T);
      else {
        const problem = problemIn(call.response);
        if (call.status === 401) void signedOut.trigger();
        if (problem && call.status < 500) reject(new ApiError(call.status, problem));
        else
          reject(
            new NetworkError(
              `${problem?.message ?? 'The server or its database cannot be reached.'} Nothing was imported.`,
            ),
          );
      }
    };
    call.onerror = () => {
      reject(new NetworkError('The server closed the connection; nothing was imported.'));
    };
    call.onabort = () => {
      reject(new NetworkError('Cancelled; nothing was imported.'));
    };
    call.send(file);
  });
  return {
    answer,
    cancel: () => {
      call.abort();
    },
  };
}
