/** What a computation in steps comes to, all of it done at once. */
export function finished<T>(steps: Generator<unknown, T, void>): T {
  let step = steps.next();
  while (!step.done) step = steps.next();
  return step.value;
}
