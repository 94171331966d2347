/** A text as it begins a line. */
export const capital = (text: string): string => text.charAt(0).toUpperCase() + text.slice(1);
