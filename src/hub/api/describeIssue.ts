import type { ZodError } from 'zod';

/** The first fault in what was sent: where, and what. */
export function describeIssue({ issues: [issue] }: ZodError): string {
  return `${issue?.path.join('.') ?? ''}: ${issue?.message ?? 'unusable'}`;
}
