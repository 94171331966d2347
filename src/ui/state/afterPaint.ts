/**
 * Runs work once what has changed is painted, so that a key or a touch is answered first.
 * @returns what calls it off
 */
export function afterPaint(work: () => void): () => void {
  let timer: ReturnType<typeof setTimeout> | undefined;
  const frame = requestAnimationFrame(() => (timer = setTimeout(work)));
  return () => {
    cancelAnimationFrame(frame);
    clearTimeout(timer);
  };
}
