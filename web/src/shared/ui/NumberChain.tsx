import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import { useMutation } from '@tanstack/react-query'
import { useState } from 'react'
import { post, sentence } from '../api/client'
import type { ChainAnswer } from '../api/types'
import { Trouble } from './Trouble'

interface Props {
  readonly job: number
  /** One of the cameras of the chain. */
  readonly device: number
}

/** The address-set of the chain a camera hangs on: asked for twice, since it renumbers all of them. */
export function NumberChain({ job, device }: Props) {
  const [sure, setSure] = useState(false)
  const number = useMutation({
    mutationFn: () => post<ChainAnswer>(`/api/jobs/${job}/wire/chain`, { device }),
    onSettled: () => setSure(false),
  })
  return (
    <Box sx={{ mt: 1 }}>
      {number.error && <Trouble>{sentence(number.error)}</Trouble>}
      {number.data && (
        <Box role="status">
          <b>{number.data.words}.</b>
        </Box>
      )}
      {sure ? (
        <>
          Every camera on this chain takes a number in the order of the leads, 1 for the nearest, whatever its
          dial or the plan says.{' '}
          <Button
            color="error"
            variant="contained"
            disabled={number.isPending}
            onClick={() => number.mutate()}
          >
            Number them now
          </Button>{' '}
          <Button onClick={() => setSure(false)}>Leave them</Button>
        </>
      ) : (
        <Button size="small" onClick={() => setSure(true)} sx={{ px: 0 }}>
          Give the cameras of its chain their numbers …
        </Button>
      )}
    </Box>
  )
}
