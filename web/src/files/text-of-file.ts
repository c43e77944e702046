import type { FileEncoding } from '@tasche/contract';

/**
 * The encoding of a text: what its first bytes say, UTF-8 where all of it could be, else the one spreadsheets
 * of western countries save in.
 * @param isPart the bytes may end in the middle of a character
 */
function encodingOf(bytes: Uint8Array, isPart: boolean): FileEncoding {
  if (bytes[0] === 0xff && bytes[1] === 0xfe) return 'utf-16le';
  if (bytes[0] === 0xfe && bytes[1] === 0xff) return 'utf-16be';
  try {
    new TextDecoder('utf-8', { fatal: true }).decode(bytes, { stream: isPart });
    return 'utf-8';
  } catch {
    return 'windows-1252';
  }
}

/**
 * The text of bytes, and the encoding it was in.
 * @throws Error where they are not text
 */
export function textOfBytes(bytes: Uint8Array, isPart = false): { text: string; encoding: FileEncoding } {
  if (bytes.length === 0) throw new Error('The file is empty.');
  // What workbooks are packed in; the other are those before .xlsx.
  const isArchive = bytes[0] === 0x50 && bytes[1] === 0x4b;
  if (isArchive || (bytes[0] === 0xd0 && bytes[1] === 0xcf))
    throw new Error('This is an archive, or a workbook of another kind than .xlsx: save it as .xlsx or CSV.');
  const encoding = encodingOf(bytes, isPart);
  const text = new TextDecoder(encoding).decode(bytes);
  if (isNoText(text)) throw new Error('This is not a text file, or it is in an unknown encoding.');
  return { text, encoding };
}

/** The whole text of a file. @throws Error where it is not text */
export async function textOfFile(file: File): Promise<string> {
  return textOfBytes(new Uint8Array(await file.arrayBuffer())).text;
}

/** Letters and figures make up most of any table. */
function isNoText(text: string): boolean {
  const start = text.slice(0, 4000);
  const strange = start.match(/[\u0000-\u0008\u000e-\u001f\uFFFD]/g)?.length ?? 0;
  return strange > start.length / 50;
}
