import type { Facts } from './profileSchema'
import { isFacts, said } from './profileSchema'

/** One way to say a knob or verb, on one line. */
export function sayingLine(s: Facts): string {
  const call = isFacts(s.request) ? s.request : undefined
  const what = call
    ? [said(call.method), said(call.path), said(call.body)].join(' ')
    : said(s.message) || said(s.frame) || said(s.key)
  return `${said(s.in)}  ${what}`.trim()
}
