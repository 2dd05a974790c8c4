interface Told {
  readonly name: string
  readonly tally: string
}

/** What a switcher tells of the cameras at its inputs. */
export function tallyWords(switcher: string, cameras: readonly Told[]): string {
  const told = cameras.filter((c) => c.tally !== '')
  const unknown = told.filter((c) => c.tally === 'not-known')
  if (unknown.length > 0)
    return `${switcher} is silent: whether ${names(unknown)} are on air is not known, which counts as on air.`
  const on = told.filter((c) => c.tally === 'on')
  return on.length === 0
    ? `${switcher} shows no camera of this desk.`
    : `${names(on)} on air, says ${switcher}.`
}

const names = (cameras: readonly Told[]) => cameras.map((c) => c.name).join(', ')
