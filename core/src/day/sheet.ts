import ICAL from 'ical.js'
import type { TimedTask } from '../model'
import type { DayPlan } from './plan'

const MINUTE_MS = 60_000

export interface SheetOptions {
  /** Clock time of a minute: "09:20", in the zone of whoever reads it. */
  readonly clock: (minute: number) => string
  /** Day of a minute: "Thursday 18 June". */
  readonly day: (minute: number) => string
}

/** "3 h 40 min", "25 min". @param minutes whole, 0 or more */
export const spell = (minutes: number): string => {
  const hours = Math.floor(minutes / 60)
  const rest = minutes % 60
  return hours === 0 ? `${rest} min` : rest === 0 ? `${hours} h` : `${hours} h ${rest} min`
}

/** What shares the oven at another temperature, a sentence each. */
export const stretchedWords = ({ stretched, tasks }: DayPlan): string[] =>
  stretched.map(({ dishId, stepId, ownC, tempC, ownMin, minutes }) => {
    const task = tasks.find(
      (one) => one.dishId === dishId && one.stepId === stepId && one.kind === 'by-itself',
    )
    return `${task?.label ?? 'Roast'}: ${Math.round(tempC)} °C for ${minutes} min, in place of ${Math.round(ownC)} °C for ${ownMin} min.`
  })

/** Where food goes into an oven that is not hot yet, a sentence each. */
export const coldOvenWords = (
  { coldOvens }: Pick<DayPlan, 'coldOvens'>,
  clock: SheetOptions['clock'],
): string[] =>
  coldOvens.map(
    ({ label, dish, startMin, tempC, minutes }) =>
      `${label} (${dish}) at ${clock(startMin)}: there is no time to bring the oven to ${Math.round(tempC)} °C before it. It takes about ${minutes} min; put it later, or heat the oven first.`,
  )

const placeOf = ({ tempC, station, stationLabel }: TimedTask): string =>
  tempC === null
    ? station === 'counter'
      ? ''
      : `, ${stationLabel}`
    : `, ${stationLabel} at ${Math.round(tempC)} °C`

/** The day by the clock, as Markdown: to print, and to stick to the wall. */
export function daySheet(plan: DayPlan, { clock, day }: SheetOptions): string {
  const lines: string[] = ['# The day', '']
  lines.push(
    `From ${clock(plan.startMin)} to ${clock(plan.serveMin)}, ${spell(plan.spanMin)}; hands busy ${spell(plan.handsMin)}.`,
  )
  let today = ''
  for (const task of plan.tasks) {
    if (day(task.startMin) !== today) {
      today = day(task.startMin)
      lines.push('', `## ${today}`, '')
    }
    const until =
      task.kind === 'by-itself' ? `to ${clock(task.endMin)} by itself` : spell(task.endMin - task.startMin)
    lines.push(`- **${clock(task.startMin)}** ${task.label} (${task.dish}${placeOf(task)}), ${until}`)
  }
  if (plan.waits.length > 0) {
    lines.push('', '## What waits', '')
    for (const { label, fromMin, minutes, mostMin } of plan.waits)
      lines.push(
        `- ${label}: from ${clock(fromMin)}, ${spell(minutes)}${mostMin === null ? '' : ` (at most ${spell(mostMin)})`}`,
      )
  }
  if (plan.coldOvens.length > 0) {
    lines.push('', '## Oven not hot in time', '')
    for (const words of coldOvenWords(plan, clock)) lines.push(`- ${words}`)
  }
  if (plan.stretched.length > 0) {
    lines.push('', '## Sharing the oven', '')
    for (const words of stretchedWords(plan)) lines.push(`- ${words}`)
  }
  lines.push(
    '',
    'Times are predictions. Hot food does not stand between 5 and 60 °C for long: your local food code says how long.',
  )
  return `${lines.join('\n')}\n`
}

/**
 * The day as an iCalendar file: each task an event, with an alarm where hands are needed.
 * @param stamp when it is written, ISO 8601
 * @source RFC 5545
 */
export function dayToIcal(plan: DayPlan, stamp: string): string {
  const calendar = new ICAL.Component(['vcalendar', [], []])
  calendar.updatePropertyWithValue('version', '2.0')
  calendar.updatePropertyWithValue('prodid', '-//Frijol//Day plan//EN')
  const time = (ms: number): ICAL.Time => ICAL.Time.fromJSDate(new Date(ms), true)
  for (const task of plan.tasks) {
    const component = new ICAL.Component('vevent')
    const event = new ICAL.Event(component)
    event.uid = `${task.id}@frijol`
    event.summary = `${task.label} (${task.dish})`
    event.description = task.text
    event.location =
      task.tempC === null ? task.stationLabel : `${task.stationLabel}, ${Math.round(task.tempC)} °C`
    event.startDate = time(task.startMin * MINUTE_MS)
    event.endDate = time(task.endMin * MINUTE_MS)
    component.updatePropertyWithValue('dtstamp', time(Date.parse(stamp)))
    if (task.kind !== 'by-itself') {
      const alarm = new ICAL.Component('valarm')
      alarm.updatePropertyWithValue('action', 'DISPLAY')
      alarm.updatePropertyWithValue('description', task.label)
      alarm.updatePropertyWithValue('trigger', ICAL.Duration.fromSeconds(0))
      component.addSubcomponent(alarm)
    }
    calendar.addSubcomponent(component)
  }
  return `${calendar.toString()}\r\n`
}
