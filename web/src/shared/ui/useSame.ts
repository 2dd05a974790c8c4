import { useState } from 'react'
import { sameData } from '../same'

/** The list given before, as long as the new one says the same. */
export function useSame<T>(list: readonly T[]): readonly T[] {
  const [kept, keep] = useState(list)
  if (sameData(kept, list)) return kept
  keep(list)
  return list
}
