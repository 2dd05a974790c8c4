import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import { useMutation, useQueryClient } from '@tanstack/react-query'
import { useRef, useState } from 'react'
import { rights } from '../../shared/api/changes'
import { del, sentence, upload } from '../../shared/api/client'
import { newKey } from '../../shared/api/newKey'
import { showAnswer } from '../../shared/api/showAnswer'
import type { DeskCamera, DroppedPicture as Dropped, Job } from '../../shared/api/types'
import { dayAndTime } from '../../shared/format/moment'
import { work } from '../../shared/work'
import { droppedKey, droppedPath, useDropped } from './useDropped'

interface Props {
  readonly job: Job
  readonly camera: DeskCamera
  /** Why it gives none itself. */
  readonly why: string
}

/** A camera that gives no picture itself: one that somebody took of it elsewhere stands for it, and says so. */
export function DroppedPicture({ job, camera, why }: Props) {
  const queries = useQueryClient()
  const own = useDropped(job.id, camera.id, true)
  const [over, setOver] = useState(false)
  const file = useRef<HTMLInputElement>(null)
  const path = `/api/jobs/${job.id}/cameras/${camera.id}/dropped`
  const keep = (now: readonly Dropped[]) => showAnswer(queries, droppedKey(job.id), now)
  const give = useMutation({
    mutationFn: (picture: File) => {
      const body = new FormData()
      body.set('picture', picture)
      return work('Keeping the picture', (onProgress) =>
        upload<readonly Dropped[]>(path, body, onProgress, { 'Idempotency-Key': newKey() }),
      )
    },
    onSuccess: keep,
  })
  const forget = useMutation({ mutationFn: () => del<readonly Dropped[]>(path), onSuccess: keep })
  const may = rights(job).drive
  const error = give.error ?? forget.error
  return (
    <Box
      onDragOver={(e) => {
        if (!may) return
        e.preventDefault()
        setOver(true)
      }}
      onDragLeave={() => setOver(false)}
      onDrop={(e) => {
        setOver(false)
        const picture = e.dataTransfer.files[0]
        if (!may || !picture) return
        e.preventDefault()
        give.mutate(picture)
      }}
      sx={{
        width: 1,
        height: 1,
        position: 'relative',
        display: 'grid',
        placeItems: 'center',
        outline: over ? '3px dashed #E9E4D8' : 'none',
        outlineOffset: '-8px',
      }}
    >
      {own && (
        <img
          src={droppedPath(job.id, camera.id, own.at)}
          alt={`Picture that was dropped for ${camera.name}`}
          style={{ width: '100%', height: '100%', objectFit: 'contain', position: 'absolute' }}
        />
      )}
      <Box
        sx={{
          p: 1.5,
          textAlign: 'center',
          ...(own && { position: 'absolute', bottom: 0, left: 0, right: 0, bgcolor: 'rgba(20,24,28,0.86)' }),
        }}
      >
        {own ? (
          <b>
            Not live: dropped by {own.by}, {dayAndTime(new Date(own.at).toISOString(), job.site.clock)}.{' '}
          </b>
        ) : (
          why
        )}
        {error && <Box role="alert">{sentence(error)}</Box>}
        {may && (
          <Box sx={{ display: 'flex', gap: 1, justifyContent: 'center', mt: 0.75 }}>
            <input
              ref={file}
              type="file"
              hidden
              accept="image/jpeg,image/png"
              aria-label={`Picture for ${camera.name}`}
              onChange={(e) => {
                const picture = e.target.files?.[0]
                e.target.value = ''
                if (picture) give.mutate(picture)
              }}
            />
            <Button
              size="small"
              variant="outlined"
              disabled={give.isPending}
              onClick={() => file.current?.click()}
              sx={{ color: '#E9E4D8', borderColor: '#E9E4D8' }}
            >
              {own ? 'Another picture …' : 'Drop a picture here, or choose one …'}
            </Button>
            {own && (
              <Button
                size="small"
                disabled={forget.isPending}
                onClick={() => forget.mutate()}
                sx={{ color: '#E9E4D8' }}
              >
                Take it away
              </Button>
            )}
          </Box>
        )}
      </Box>
    </Box>
  )
}
