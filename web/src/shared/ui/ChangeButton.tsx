import { useId } from 'react'
import type { ReactNode } from 'react'

interface Props {
  /** Of what is shown, for example "Address of L4". */
  readonly label: string
  readonly onClick: (at: HTMLElement) => void
  /** The value as it stands. */
  readonly children: ReactNode
}

/** A value that can be changed where it stands; its name says what it is and what it shows. */
export function ChangeButton({ label, onClick, children }: Props) {
  const name = useId()
  return (
    <>
      <span id={`${name}-what`} hidden>{`Change: ${label}`}</span>
      <button
        type="button"
        className="change-button"
        onClick={(e) => onClick(e.currentTarget)}
        aria-labelledby={`${name}-what ${name}-value`}
      >
        <span id={`${name}-value`}>{children}</span>
      </button>
    </>
  )
}
