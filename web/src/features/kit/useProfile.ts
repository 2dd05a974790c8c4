import { keepPreviousData, useQuery } from '@tanstack/react-query'
import { get } from '../../shared/api/client'
import { jobKeys } from '../../shared/api/job'
import type { Job, ProfileFacts } from '../../shared/api/types'
import type { Schema } from './profileSchema'

/** The published schema, from which page and form of a profile are made. */
export const useProfileSchema = () =>
  useQuery({
    queryKey: ['profile-schema'],
    queryFn: () => get<Schema>('/api/profiles/schema'),
    staleTime: Infinity,
  })

export const useProfile = (job: Job, id: string) =>
  useQuery({
    queryKey: [...jobKeys.shelf(job.id), job.ownProfiles, id],
    queryFn: () => get<ProfileFacts>(`/api/jobs/${job.id}/profiles/${id}`),
    placeholderData: keepPreviousData,
    staleTime: Infinity,
  })
