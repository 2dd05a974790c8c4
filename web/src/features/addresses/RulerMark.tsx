import { useTheme } from '@mui/material/styles'
import { useState } from 'react'
import type { KeyboardEvent, PointerEvent } from 'react'
import type { Device } from '../../shared/api/types'

interface Props {
  readonly device: Device
  /** Its host number. */
  readonly host: number
  /** Of the subnet: a device can be moved to 1 up to this. */
  readonly hosts: number
  readonly may: boolean
  /** Where a host number is in the drawing. */
  readonly at: (host: number) => number
  /** Width of one host, and of the whole drawing, in its units. */
  readonly cell: number
  readonly width: number
  readonly bar: { readonly top: number; readonly height: number }
  readonly stopped: boolean
  readonly colour: string
  readonly address: (host: number) => string
  readonly onMove: (host: number) => void
}

/** A device on the ruler: dragged, or moved with the arrows and taken with Enter. */
export function RulerMark(props: Props) {
  const { device, host, hosts, may, at, cell, width, bar, stopped, colour, address, onMove } = props
  const { palette } = useTheme()
  const [to, setTo] = useState<number>()
  const [from, setFrom] = useState<number>()
  const [focused, setFocused] = useState(false)
  const within = (n: number) => Math.max(1, Math.min(hosts, n))
  const leave = () => {
    setTo(undefined)
    setFrom(undefined)
  }
  const take = (target: number | undefined) => {
    leave()
    if (target !== undefined && target !== host) onMove(target)
  }
  const onKey = (e: KeyboardEvent) => {
    const step = e.shiftKey ? 10 : 1
    if (e.key === 'ArrowLeft') setTo(within((to ?? host) - step))
    else if (e.key === 'ArrowRight') setTo(within((to ?? host) + step))
    else if (e.key === 'Enter') take(to)
    else if (e.key === 'Escape') leave()
    else return
    e.preventDefault()
    e.stopPropagation()
  }
  const hostsMoved = (e: PointerEvent<SVGGElement>) => {
    const shown = e.currentTarget.ownerSVGElement?.getBoundingClientRect().width ?? width
    return Math.round((((e.clientX - (from ?? e.clientX)) / shown) * width) / cell)
  }
  return (
    <g
      tabIndex={may ? 0 : -1}
      role="button"
      aria-label={`${device.name} at ${device.address}: arrows move it, Enter asks what that does`}
      style={{ cursor: may ? 'ew-resize' : 'default', outline: 'none' }}
      onKeyDown={may ? onKey : undefined}
      onFocus={() => setFocused(true)}
      onBlur={() => {
        setFocused(false)
        leave()
      }}
      onPointerDown={(e) => {
        if (!may) return
        e.currentTarget.setPointerCapture(e.pointerId)
        setFrom(e.clientX)
      }}
      onPointerMove={(e) => from !== undefined && setTo(within(host + hostsMoved(e)))}
      onPointerUp={() => from !== undefined && take(to)}
      onPointerCancel={leave}
    >
      <title>{`${device.name}: ${device.address}`}</title>
      <rect
        x={at(host) - 7}
        y={bar.top - 10}
        width="14"
        height={bar.height + 14}
        fill="transparent"
        stroke={focused ? palette.text.primary : 'none'}
        strokeWidth="2"
      />
      <line
        x1={at(host)}
        x2={at(host)}
        y1={bar.top - 8}
        y2={bar.top + bar.height}
        stroke={colour}
        strokeWidth={stopped ? 3 : 2}
      />
      {stopped && <path d={`M${at(host)} ${bar.top + 6} l7 13 h-14 z`} fill={colour} />}
      {to !== undefined && to !== host && (
        <>
          <line
            x1={at(to)}
            x2={at(to)}
            y1={bar.top - 12}
            y2={bar.top + bar.height + 4}
            stroke={palette.text.primary}
            strokeWidth="3"
          />
          <text
            x={Math.min(width - 60, Math.max(60, at(to)))}
            y={bar.top + bar.height + 24}
            fontSize="16"
            fontWeight="700"
            textAnchor="middle"
            fill={palette.text.primary}
            stroke={palette.background.paper}
            strokeWidth="6"
            paintOrder="stroke"
          >
            {address(to)}
          </text>
        </>
      )}
    </g>
  )
}
