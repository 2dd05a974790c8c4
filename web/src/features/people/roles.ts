/** The parts people can have in a job, and what each may do. */
export const roles = [
  ['lead', 'everything, people too'],
  ['technician', 'plan, bring up, drive, prove'],
  ['operator', 'drive and presets'],
  ['viewer', 'look on'],
] as const
