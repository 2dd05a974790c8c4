import { useQuery, useQueryClient } from '@tanstack/react-query'
import { useRef, useState } from 'react'
import { del, get, post, Refused, sentence } from '../../shared/api/client'
import { UnderWay } from './underWay'
import type { DeviceReadings, Job, Knob, Reading, ToldView } from '../../shared/api/types'
import type { AllReadings, Turn } from './knobs'
import { byDevice, turned } from './knobs'
import { orientation } from './orientation'

const READ_AGAIN_MILLIS = 4000
/** Turns of one knob within this long are one turn to take back. */
const ONE_TURN_MILLIS = 1200

/** What each camera of the job can be told. */
export function useToldViews(job: Job) {
  return useQuery({
    queryKey: ['job', job.id, 'told', job.version],
    queryFn: () => get<readonly ToldView[]>(`/api/jobs/${job.id}/told`),
  })
}

/** Why a camera was not told what was asked. */
export interface ToldTrouble {
  readonly sentence: string
  readonly code: string
}

/** By camera; nothing for one that was told. */
export type Troubles = Readonly<Record<number, ToldTrouble | undefined>>

/** True once for each press. */
function taken(pressed: { current: boolean }): boolean {
  const was = pressed.current
  pressed.current = false
  return was
}

const codeOf = (error: unknown): string => (error instanceof Refused ? error.code : '')

const readingsOf = (job: Job, devices: readonly number[]) => ['job', job.id, 'readings', ...devices]

/** How a camera hangs, by what was read of it; whoever shows its knobs reads them. */
export function useOrientation(job: Job, device: number) {
  const view = useToldViews(job).data?.find((v) => v.device === device)
  const read = useQuery<AllReadings>({ queryKey: readingsOf(job, [device]), enabled: false })
  return orientation(view, read.data?.[device])
}

/** Knobs of some cameras: read back, turned, and turned back. */
export function useKnobs(job: Job, devices: readonly number[], asks = true) {
  const queries = useQueryClient()
  const key = readingsOf(job, devices)
  // A page that reads again by itself must not try a wrong password again and again.
  const pressed = useRef(true)
  const read = useQuery({
    queryKey: key,
    queryFn: async () =>
      byDevice(
        await post<readonly DeviceReadings[]>(`/api/jobs/${job.id}/told/readings`, {
          devices,
          pressed: taken(pressed),
        }),
      ),
    enabled: devices.length > 0,
    refetchInterval: asks ? READ_AGAIN_MILLIS : false,
  })
  const [turns, setTurns] = useState<readonly Turn[]>([])
  // Two keys come faster than two answers: what is taken back next is known at once.
  const turnsNow = useRef<readonly Turn[]>([])
  const [underWay] = useState(() => new UnderWay())
  const [troubles, setTroubles] = useState<Troubles>({})
  const wanted = useRef(new Map<string, number>())
  const busy = useRef(new Set<string>())
  const lastTurn = useRef(0)

  const note = (device: number, error?: unknown) =>
    setTroubles((all) => ({
      ...all,
      [device]: error === undefined ? undefined : { sentence: sentence(error), code: codeOf(error) },
    }))

  const readBack = (device: number, knob: string, reading: Reading) =>
    queries.setQueryData<AllReadings>(key, (all) => ({
      ...all,
      [device]: { ...all?.[device], [knob]: reading },
    }))

  /** The newest wanted value goes out as soon as the one before is answered. */
  const send = async (device: number, knob: string, confirmed: boolean): Promise<boolean> => {
    const place = `${device} ${knob}`
    if (busy.current.has(place)) return true
    busy.current.add(place)
    try {
      for (let value = wanted.current.get(place); value !== undefined; value = wanted.current.get(place)) {
        const sent = value
        const path = `/api/jobs/${job.id}/told/${device}/turn`
        readBack(device, knob, await post<Reading>(path, { knob, value: sent, confirmed }))
        if (wanted.current.get(place) === sent) wanted.current.delete(place)
      }
      note(device)
      return true
    } catch (e) {
      wanted.current.delete(place)
      note(device, e)
      return false
    } finally {
      busy.current.delete(place)
    }
  }

  const keep = (next: readonly Turn[]) => {
    turnsNow.current = next
    setTurns(next)
  }

  const turnNow = async (view: ToldView, knob: Knob, value: number, confirmed: boolean, again: boolean) => {
    const place = `${view.device} ${knob.name}`
    const before = wanted.current.get(place) ?? read.data?.[view.device]?.[knob.name]?.value
    wanted.current.set(place, value)
    const goesOn = Date.now() - lastTurn.current < ONE_TURN_MILLIS
    lastTurn.current = Date.now()
    const done = await send(view.device, knob.name, confirmed)
    if (done && again && typeof before === 'number') {
      const next = { device: view.device, camera: view.name, knob: knob.name, before, after: value }
      keep(turned(turnsNow.current, next, goesOn))
    }
    void queries.invalidateQueries({ queryKey: key })
    return done
  }

  const turn = (view: ToldView, knob: Knob, value: number, confirmed = false) =>
    underWay.add(turnNow(view, knob, value, confirmed, true))

  const undo = (views: readonly ToldView[]) =>
    underWay.after(async () => {
      const last = turnsNow.current.at(-1)
      const view = views.find((v) => v.device === last?.device)
      const knob = view?.knobs.find((k) => k.name === last?.knob)
      if (last && view && knob && (await turnNow(view, knob, last.before, true, false))) {
        keep(turnsNow.current.slice(0, -1))
      }
    })

  const tell = async (device: number, verb: string, confirmed: boolean) => {
    try {
      await post(`/api/jobs/${job.id}/told/${device}/tell`, { verb, confirmed })
      note(device)
    } catch (e) {
      note(device, e)
    }
    void queries.invalidateQueries({ queryKey: key })
  }

  /** The certificate that it shows next is its own from now on. */
  const acceptCertificate = async (device: number) => {
    try {
      await del(`/api/jobs/${job.id}/told/${device}/certificate`)
      note(device)
    } catch (e) {
      note(device, e)
    }
    void queries.invalidateQueries({ queryKey: key })
  }

  return {
    acceptCertificate,
    readings: read.data ?? {},
    isReading: read.isFetching,
    error: read.error,
    troubles,
    turns,
    turn,
    tell,
    undo,
    readAgain: () => {
      pressed.current = true
      void queries.invalidateQueries({ queryKey: key })
    },
  }
}
