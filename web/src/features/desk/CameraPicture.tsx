import Box from '@mui/material/Box'
import { useEffect, useRef, useState } from 'react'
import { get, sentence } from '../../shared/api/client'
import type { DeskCamera, Job } from '../../shared/api/types'

/** The next picture is asked for so long after the last, and never before that one came. */
const APART_MILLIS = 250
const AGAIN_MILLIS = 3000

interface Props {
  readonly job: Job
  readonly camera: DeskCamera | undefined
}

/** What the taken camera sees, fetched through the server; pictures come outside React's state. */
export function CameraPicture({ job, camera }: Props) {
  const image = useRef<HTMLImageElement>(null)
  const [trouble, setTrouble] = useState('')
  const [seen, setSeen] = useState(0)
  const device = camera?.id ?? 0
  const path = `/api/jobs/${job.id}/cameras/${device}/still`
  useEffect(() => {
    const at = image.current
    if (!at || device === 0) return
    let ended = false
    let timer: ReturnType<typeof setTimeout> | undefined
    let asked = 0
    let count = 0
    const next = () => {
      if (document.visibilityState !== 'visible') {
        timer = setTimeout(next, AGAIN_MILLIS)
        return
      }
      asked = performance.now()
      at.src = `${path}?n=${count++}`
    }
    const came = () => {
      setTrouble('')
      setSeen(device)
      timer = setTimeout(next, Math.max(0, APART_MILLIS - (performance.now() - asked)))
    }
    const failed = () => {
      get(path).catch((e: unknown) => {
        if (!ended) setTrouble(sentence(e))
      })
      timer = setTimeout(next, AGAIN_MILLIS)
    }
    at.addEventListener('load', came)
    at.addEventListener('error', failed)
    next()
    return () => {
      ended = true
      clearTimeout(timer)
      at.removeEventListener('load', came)
      at.removeEventListener('error', failed)
      at.removeAttribute('src')
      setTrouble('')
    }
  }, [path, device])
  const shown = device !== 0 && seen === device && trouble === ''
  return (
    <Box
      sx={{
        aspectRatio: '16 / 9',
        bgcolor: '#2A3036',
        color: '#E9E4D8',
        borderRadius: '6px',
        overflow: 'hidden',
        display: 'grid',
        placeItems: 'center',
        '& > *': { gridArea: '1 / 1' },
      }}
    >
      <img
        ref={image}
        alt={camera ? `What ${camera.name} sees` : ''}
        style={{ width: '100%', display: 'block', visibility: shown ? 'visible' : 'hidden' }}
      />
      {!shown && (
        <Box sx={{ p: 2, textAlign: 'center' }}>
          {trouble || (camera ? `Fetching what ${camera.name} sees …` : 'No camera is taken')}
        </Box>
      )}
    </Box>
  )
}
