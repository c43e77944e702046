/** By then the download has started. */
const DOWNLOAD_MS = 10_000;

/** Saves a text as a file of the reader's machine. */
export function saveFile(name: string, text: string, type: string): void {
  const link = document.createElement('a');
  link.href = URL.createObjectURL(new Blob([text], { type }));
  link.download = name;
  link.click();
  setTimeout(() => {
    URL.revokeObjectURL(link.href);
  }, DOWNLOAD_MS);
}
