import { useQuery } from '@tanstack/react-query'
import { get } from '../../shared/api/client'
import type { DroppedPicture } from '../../shared/api/types'

export const droppedKey = (job: number) => ['job', job, 'dropped']

/** Where the picture is that somebody gave for a camera. */
export const droppedPath = (job: number, camera: number, at: number) =>
  `/api/jobs/${job}/cameras/${camera}/dropped?of=${at}`

/** The picture that somebody gave for this camera, which gives none itself; none while that is not needed. */
export function useDropped(job: number, camera: number, needed: boolean): DroppedPicture | undefined {
  const all = useQuery({
    queryKey: droppedKey(job),
    queryFn: () => get<readonly DroppedPicture[]>(`/api/jobs/${job}/cameras/dropped`),
    enabled: needed,
  })
  return all.data?.find((d) => d.device === camera)
}
