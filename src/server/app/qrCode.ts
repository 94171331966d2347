import { create } from 'qrcode';

/** A QR code as it is drawn: dark squares as an SVG path, in units of a module, with the quiet zone around them. */
export interface QrDrawing {
  size: number;
  path: string;
}

/** The modules that must stay light around a code for a camera to find it (ISO/IEC 18004). */
const QUIET = 4;

/** The QR code of an address, read even where a quarter of it is wet or torn (level Q). */
export function qrDrawing(address: string): QrDrawing {
  const { modules } = create(address, { errorCorrectionLevel: 'Q' });
  let path = '';
  for (let row = 0; row < modules.size; row += 1)
    for (let column = 0; column < modules.size; column += 1)
      if (modules.get(row, column)) path += `M${column + QUIET} ${row + QUIET}h1v1h-1z`;
  return { size: modules.size + 2 * QUIET, path };
}
