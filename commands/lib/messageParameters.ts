import type { Element } from '../../src/messages/packed.ts';

const [LITERAL, ARGUMENT, NUMBER, DATE, TIME, SELECT, PLURAL, POUND, TAG] = [0, 1, 2, 3, 4, 5, 6, 7, 8];

/** The type of a message's parameters, as TypeScript writes it; null for a message without any. */
export function parametersOf(message: string | Element[]): string {
  if (typeof message === 'string') return 'null';
  const types = new Map<string, string>();
  const note = (name: string, type: string) => {
    // What is chosen by and shown as well is what it is chosen by.
    if (type !== 'string | number' || !types.has(name)) types.set(name, type);
  };
  const read = (elements: Element[]): void => {
    for (const { type, value, options, children } of elements) {
      if (type === ARGUMENT) note(value, 'string | number');
      else if (type === NUMBER || type === PLURAL) note(value, 'number');
      else if (type === DATE || type === TIME) note(value, 'number | Date');
      else if (type === SELECT) note(value, selectType(Object.keys(options ?? {})));
      for (const option of Object.values(options ?? {})) read(option.value);
      if (type === TAG) read(children ?? []);
      if (type > TAG || type < LITERAL || (type === POUND && value))
        throw new Error(`An element of type ${type}`);
    }
  };
  read(message);
  return types.size === 0 ? 'null' : `{ ${[...types].map(([name, type]) => `${name}: ${type}`).join('; ')} }`;
}

/** A choice with a default takes anything. */
const selectType = (choices: string[]): string =>
  choices.filter((choice) => choice !== 'other').length === choices.length
    ? choices.map((choice) => `'${choice}'`).join(' | ')
    : 'string';
