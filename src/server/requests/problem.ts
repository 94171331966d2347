import { t } from '../../messages/t.ts';
import type { ApiProblem, ProblemCode } from '../../contract/api.ts';

/** What is wrong with what was sent, by field. */
export const problemOf = (code: ProblemCode, fields: Record<string, string>): ApiProblem => ({
  code,
  message: Object.values(fields)[0] ?? t('errors.cannotBeRead'),
  fields
});
