/** What a form's action answered: what was typed, and what is wrong with it by field. */
interface Answered {
  fields?: Record<string, string>;
  errors?: Record<string, string>;
}

/** How a form reads its action's answer: what to say of a field, and what to show in it. */
export function formAnswers(form: () => Answered | null | undefined) {
  return {
    /** What is wrong with a field; empty where all is well. */
    wrong: (field: string): string => form()?.errors?.[field] ?? '',
    /** What was typed into a field, or what it held before. */
    typed: (field: string, otherwise: string | number | null | undefined = ''): string =>
      form()?.fields?.[field] ?? String(otherwise ?? '')
  };
}
