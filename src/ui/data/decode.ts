/**
 * Bytes of a text file as text: UTF-8, UTF-16 with or without its mark (as spreadsheets save it), and what is
 * neither as Windows' Western script.
 */
export function decodeText(bytes: Uint8Array): string {
  if (bytes[0] === 0xff && bytes[1] === 0xfe) return new TextDecoder('utf-16le').decode(bytes);
  if (bytes[0] === 0xfe && bytes[1] === 0xff) return new TextDecoder('utf-16be').decode(bytes);
  // Plain letters in UTF-16 are every other byte a zero.
  const start = bytes.subarray(0, 200);
  const zeros = (odd: number) => start.filter((byte, at) => at % 2 === odd && byte === 0).length;
  if (zeros(1) > start.length / 4) return new TextDecoder('utf-16le').decode(bytes);
  if (zeros(0) > start.length / 4) return new TextDecoder('utf-16be').decode(bytes);
  try {
    return new TextDecoder('utf-8', { fatal: true }).decode(bytes);
  } catch {
    return new TextDecoder('windows-1252').decode(bytes);
  }
}
