/** Whole seconds as people say them: "45 s", "2 min 5 s", "1 h 4 min". */
export function duration(seconds: number): string {
  const whole = Math.max(0, Math.ceil(seconds))
  if (whole < 60) return `${whole} s`
  if (whole < 3600)
    return whole % 60 === 0 ? `${whole / 60} min` : `${Math.floor(whole / 60)} min ${whole % 60} s`
  return `${Math.floor(whole / 3600)} h ${Math.floor((whole % 3600) / 60)} min`
}
