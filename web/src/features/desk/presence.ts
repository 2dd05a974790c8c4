import type { DeskCamera } from '../../shared/api/types'

type Linked = Pick<DeskCamera, 'link' | 'mark' | 'presence' | 'cannot'>

/** What stands on its key of how it is linked, where that is not well; nothing where it is. */
export function linkWords({ link, mark, presence, cannot }: Linked): string | undefined {
  if (link === 'slow' || link === 'lost') return `link ${link}`
  // One that was never set up is silent, and nobody wonders.
  if (link !== '' || cannot !== '' || mark === 'planned') return undefined
  if (presence.state === 'lost') return 'no answer'
  return presence.state === 'slow' ? 'slow' : undefined
}

/** What comes of asking it; empty for one that was not asked. */
export function presenceWords({ presence: p }: Pick<DeskCamera, 'presence'>): string {
  if (p.state === 'lost') return p.why
  return p.state === 'unknown' ? '' : 'It answers when it is asked'
}
