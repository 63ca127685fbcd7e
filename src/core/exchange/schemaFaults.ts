import type * as v from 'valibot';
import type { Fault } from '../result/result.ts';
import { shown } from './head.ts';

const pathOf = (issue: v.BaseIssue<unknown>): string => issue.path?.map((p) => String(p.key)).join('.') ?? '';

/** What a schema found wrong, as a fault that names the field and the value. */
export const faultOf = (issue: v.BaseIssue<unknown>): Fault => ({
  code: `bad-${issue.type.replaceAll('_', '-')}`,
  message:
    issue.type === 'strict_object' && issue.expected === 'never'
      ? `"${pathOf(issue).split('.').at(-1) ?? ''}" is not a field here`
      : issue.expected !== null && issue.message.startsWith('Invalid')
        ? `${issue.expected} is wanted, not ${shown(issue.input)}`
        : issue.message,
  at: pathOf(issue) || 'file',
});
