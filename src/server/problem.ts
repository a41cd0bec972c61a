import type { z } from '../core/zod';
import { explainIssue } from '../words/en/explainIssue';

/** One field that is wrong: where it is, and what would be right. */
export interface FieldFault {
  /** Keys and indexes joined by points: `plan.pours.0.doses.1.text`. */
  path: string;
  reason: string;
}

/** An answer that is not the one that was asked for. RFC 9457, Problem Details for HTTP APIs. */
export class Problem extends Error {
  constructor(
    readonly status: number,
    /** For machines; never changes once it is published. */
    readonly code: string,
    /** For people: what, why, and how to mend it. */
    readonly detail: string,
    readonly more: { errors?: FieldFault[]; [extension: string]: unknown } = {},
  ) {
    super(detail);
    this.name = 'Problem';
  }

  toResponse(): Response {
    const body = {
      type: `urn:idle-tallow:problem:${this.code}`,
      title: TITLES[this.status] ?? 'Problem',
      status: this.status,
      code: this.code,
      detail: this.detail,
      ...this.more,
    };
    return new Response(JSON.stringify(body), {
      status: this.status,
      headers: { 'content-type': 'application/problem+json', 'cache-control': 'no-store' },
    });
  }
}

const TITLES: Record<number, string> = {
  400: 'Not readable',
  403: 'Refused',
  404: 'Not found',
  405: 'Not possible here',
  409: 'In conflict',
  413: 'Too large',
  415: 'Not JSON',
  422: 'Not valid',
  500: 'Our fault',
  503: 'Not ready',
  507: 'No room',
};

export function notFound(what: string, id: string): Problem {
  return new Problem(404, 'unknown-id', `There is no ${what} with the id “${id.slice(0, 64)}”.`);
}

/** An id is chosen by its sender, so that what is sent twice happens once: it can't stand for two things. */
export function idTaken(what: string, id: string): Problem {
  return new Problem(
    409,
    'id-taken',
    `The id “${id.slice(0, 64)}” is that of another ${what}, with other contents. Nothing was saved. Send this with an id of its own.`,
  );
}

/** 422 with every field that failed its schema. */
export function invalidFields(error: z.ZodError): Problem {
  const errors = error.issues.slice(0, 50).map((issue) => ({
    path: issue.path.map(String).join('.'),
    reason: explainIssue(issue),
  }));
  const first = errors[0];
  const detail = first ? `${first.path || 'The body'} ${first.reason}.` : 'The body is not valid.';
  return new Problem(422, 'invalid-field', detail, { errors });
}

export function invalidField(path: string, reason: string, code = 'invalid-field'): Problem {
  return new Problem(422, code, `${path} ${reason}.`, { errors: [{ path, reason }] });
}
