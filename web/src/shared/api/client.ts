// One way to talk to the server: JSON in and out, the session's token on every write, refusals as Refused.

/** A refusal in the server's plain words. */
export class Refused extends Error {
  constructor(
    readonly status: number,
    readonly code: string,
    sentence: string,
    /** Where a text stops making sense: index of its first wrong character. */
    readonly index?: number,
    /** In a conflict: what stands there now. */
    readonly theirs?: string,
  ) {
    super(sentence)
  }
}

interface ProblemBody {
  readonly detail?: string
  readonly code?: string
  readonly index?: number
  readonly theirs?: string
}

const NO_SERVER =
  'The server does not answer. What was stored is kept, and what you typed is still here; try again in a moment.'

function token(): string {
  const cookie = document.cookie.split('; ').find((c) => c.startsWith('XSRF-TOKEN='))
  return cookie ? decodeURIComponent(cookie.slice('XSRF-TOKEN='.length)) : ''
}

async function call<T>(method: string, path: string, body?: unknown): Promise<T> {
  let response: Response
  try {
    response = await fetch(path, {
      method,
      headers: {
        Accept: 'application/json',
        ...(body === undefined ? {} : { 'Content-Type': 'application/json' }),
        ...(method === 'GET' ? {} : { 'X-XSRF-TOKEN': token() }),
      },
      ...(body === undefined ? {} : { body: JSON.stringify(body) }),
    })
  } catch {
    throw new Refused(0, 'no-server', NO_SERVER)
  }
  if (!response.ok) {
    const problem = (await response.json().catch(() => ({}))) as ProblemBody
    throw new Refused(
      response.status,
      problem.code ?? 'unknown',
      problem.detail ?? NO_SERVER,
      problem.index,
      problem.theirs,
    )
  }
  const text = await response.text()
  return (text === '' ? undefined : JSON.parse(text)) as T
}

export const get = <T>(path: string) => call<T>('GET', path)
export const post = <T>(path: string, body: unknown = {}) => call<T>('POST', path, body)
export const put = <T>(path: string, body: unknown) => call<T>('PUT', path, body)
export const del = (path: string) => call<void>('DELETE', path)

/** The sentence of whatever went wrong. */
export function sentence(error: unknown): string {
  return error instanceof Error ? error.message : NO_SERVER
}
