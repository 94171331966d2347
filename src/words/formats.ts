import { formattedAs } from '$messages/t.ts';

/**
 * Something of `Intl` that is costly to make, made once for each language and each set of arguments.
 * @param make is called with the language tag of the reader; its arguments must be plain data
 */
export function forReader<Args extends readonly unknown[], Made>(
  make: (tag: string, ...args: Args) => Made
): (...args: Args) => Made {
  const made = new Map<string, Made>();
  return (...args) => {
    const tag = formattedAs();
    const key = JSON.stringify([tag, ...args]);
    let found = made.get(key);
    if (found === undefined) made.set(key, (found = make(tag, ...args)));
    return found;
  };
}
