// One way to talk to the server: JSON in and out, the session's token on every write, refusals as Refused.

import { newKey } from './newKey'

/** A refusal in the server's plain words. */
export class Refused extends Error {
  constructor(
    /** Of HTTP; 0 when the server did not answer at all. */
    readonly status: number,
    readonly code: string,
    sentence: string,
    readonly body: ProblemBody = {},
  ) {
    super(sentence)
  }

  /** Nothing came back: what was to be sent may be sent again. */
  get silent(): boolean {
    return this.status === 0 || this.status === 502 || this.status === 503
  }
}

/** What a refusal may say beside its sentence. */
export interface ProblemBody {
  readonly detail?: string
  readonly code?: string
  /** The field it is about. */
  readonly field?: string
  /** Where a text stops making sense: index of its first wrong character. */
  readonly index?: number
  /** In a conflict: what stands there now. */
  readonly theirs?: string
  /** Of a profile: every place that is wrong, as a JSON pointer. */
  readonly problems?: readonly { readonly at: string; readonly reason: string }[]
}

const NO_SERVER =
  'The server does not answer. What was stored is kept, and what you typed is still here; try again in a moment.'

function token(): string {
  const cookie = document.cookie.split('; ').find((c) => c.startsWith('XSRF-TOKEN='))
  return cookie ? decodeURIComponent(cookie.slice('XSRF-TOKEN='.length)) : ''
}

/** Writes whose answer was lost, by what they said, with their keys: said again, they are not done twice. */
const unanswered = new Map<string, string>()

async function call<T>(method: string, path: string, body?: unknown, key?: string): Promise<T> {
  if (method === 'GET') return send<T>(method, path, body, {})
  const said = `${method} ${path} ${JSON.stringify(body)}`
  const once = key ?? unanswered.get(said) ?? newKey()
  try {
    const answer = await send<T>(method, path, body, { 'X-XSRF-TOKEN': token(), 'Idempotency-Key': once })
    unanswered.delete(said)
    return answer
  } catch (error) {
    if (error instanceof Refused && error.silent) unanswered.set(said, once)
    else unanswered.delete(said)
    throw error
  }
}

async function send<T>(
  method: string,
  path: string,
  body: unknown,
  headers: Readonly<Record<string, string>>,
): Promise<T> {
  let response: Response
  try {
    response = await fetch(path, {
      method,
      headers: {
        Accept: 'application/json',
        ...(body === undefined ? {} : { 'Content-Type': 'application/json' }),
        ...headers,
      },
      ...(body === undefined ? {} : { body: JSON.stringify(body) }),
    })
  } catch {
    throw new Refused(0, 'no-server', NO_SERVER)
  }
  return read<T>(response.status, await response.text().catch(() => ''))
}

function read<T>(status: number, text: string): T {
  if (status >= 200 && status < 300) return (text === '' ? undefined : JSON.parse(text)) as T
  let problem: ProblemBody = {}
  try {
    problem = JSON.parse(text) as ProblemBody
  } catch {
    // No problem detail: something between us and the server answered.
  }
  throw new Refused(status, problem.code ?? 'unknown', problem.detail ?? NO_SERVER, problem)
}

/** Something that is on its way: its end, and a way to call it off. */
export interface Upload<T> {
  readonly done: Promise<T>
  readonly cancel: () => void
}

/** Sends a large body; progress from 0 to 1 as it leaves. */
export function upload<T>(
  path: string,
  body: Blob | FormData,
  onProgress: (share: number) => void,
  headers: Readonly<Record<string, string>> = {},
): Upload<T> {
  const request = new XMLHttpRequest()
  const done = new Promise<T>((resolve, reject) => {
    request.open('POST', path)
    request.setRequestHeader('X-XSRF-TOKEN', token())
    if (body instanceof Blob) {
      const raw = body.type === 'application/octet-stream'
      request.setRequestHeader('Content-Type', raw ? body.type : 'application/json')
    }
    for (const [name, value] of Object.entries(headers)) request.setRequestHeader(name, value)
    request.upload.onprogress = (e) => e.lengthComputable && onProgress(e.loaded / e.total)
    request.onload = () => {
      try {
        resolve(read<T>(request.status, request.responseText))
      } catch (refused) {
        reject(refused instanceof Error ? refused : new Error(String(refused)))
      }
    }
    request.onerror = () => reject(new Refused(0, 'no-server', NO_SERVER))
    request.onabort = () => reject(new Refused(0, 'cancelled', 'Cancelled. Nothing was stored.'))
    request.send(body)
  })
  return { done, cancel: () => request.abort() }
}

export const get = <T>(path: string) => call<T>('GET', path)
/** @param key of its own for what is sent again later, also after a reload */
export const post = <T>(path: string, body: unknown = {}, key?: string) => call<T>('POST', path, body, key)
/** With the code that the launcher printed where the whole network can reach this page. */
export const postWithCode = <T>(path: string, body: unknown, code: string) =>
  send<T>('POST', path, body, { 'X-XSRF-TOKEN': token(), 'X-First-Code': code })
export const put = <T>(path: string, body: unknown) => call<T>('PUT', path, body)
export const del = <T = void>(path: string) => call<T>('DELETE', path)

/** The sentence of whatever went wrong. */
export function sentence(error: unknown): string {
  return error instanceof Error ? error.message : NO_SERVER
}
