import type { ReactElement } from 'react'
import { renderToStaticMarkup } from 'react-dom/server'
import { MemoryRouter } from 'react-router'

/** What a component draws at first, as HTML without its style sheets. */
export function drawn(element: ReactElement): string {
  return renderToStaticMarkup(<MemoryRouter>{element}</MemoryRouter>).replace(/<style[\s\S]*?<\/style>/g, '')
}

/** What can be read of it, as one line. */
export function readable(element: ReactElement): string {
  return plain(drawn(element).replace(/<[^>]*>/g, ' '))
}

/** What it says to whoever does not see it: the names that are given in words. */
export function labels(element: ReactElement): readonly string[] {
  return [...drawn(element).matchAll(/ aria-label="([^"]*)"/g)].map((m) => plain(m[1] ?? ''))
}

function plain(html: string): string {
  return html
    .replace(/&#x27;/g, "'")
    .replace(/&quot;/g, '"')
    .replace(/&amp;/g, '&')
    .replace(/\s+/g, ' ')
    .trim()
}
