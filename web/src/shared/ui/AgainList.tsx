import type { Again } from '../api/types'

const MOST = 12

/** What must be proved again, device by device. */
export function AgainList({ again }: { readonly again: readonly Again[] }) {
  const more = again.length - MOST
  return (
    <ul style={{ margin: 0, paddingLeft: 20 }}>
      {again.slice(0, MOST).map((a) => (
        <li key={a.deviceId}>
          <b>{a.device}</b>: {a.tests.join(', ')}
        </li>
      ))}
      {more > 0 && <li>and {more} more devices</li>}
    </ul>
  )
}
