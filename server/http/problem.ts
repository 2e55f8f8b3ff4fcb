/** One field that is wrong, and why, in the shop's words. */
export interface FieldProblem {
  field: string
  message: string
}

/** An answer that is no success, as `application/problem+json` (RFC 9457). */
export class Problem extends Error {
  constructor(
    readonly status: number,
    readonly title: string,
    readonly detail: string,
    readonly extra: Record<string, unknown> = {},
  ) {
    super(detail)
  }

  toJSON() {
    return { type: 'about:blank', title: this.title, status: this.status, detail: this.detail, ...this.extra }
  }
}

export const notFound = (what: string) => new Problem(404, 'Not found', `${what} is not here.`)

/** 400 with a list of fields. */
export const invalid = (errors: FieldProblem[]) =>
  new Problem(400, 'Can’t be used', errors.map((e) => `${e.field || 'it'}: ${e.message}`).join(' '), { errors })

/** 409: somebody else saved in between; `current` is what is stored now. */
export const stale = (current: unknown) =>
  new Problem(
    409,
    'Changed in the meantime',
    'It was changed somewhere else since it was read; both versions are kept for you to choose from.',
    { current },
  )

export const unreachable = () =>
  new Problem(503, 'Records can’t be reached', 'The shop’s records can’t be reached just now. Try again in a moment.')
