const FORMATS = [
  '576i50',
  '720p25',
  '720p30',
  '720p50',
  '720p60',
  '1080i50',
  '1080i60',
  '1080p24',
  '1080p25',
  '1080p30',
  '1080p50',
  '1080p60',
  '2160p25',
  '2160p30',
  '2160p50',
  '2160p60',
]

/** Picture formats by lines, scan and rate, as a choice. */
export const formats: Readonly<Record<string, string>> = Object.fromEntries(FORMATS.map((f) => [f, f]))
