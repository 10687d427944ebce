import { Ask, type Mark, type Serving, type Tasting, type TastingAnswer } from '../model'
import { toCsv } from './csv'
import { numberCell, readTable } from './readTable'

const COLUMNS = ['taster', 'round', 'code', 'question', 'answer'] as const
/** What is asked beside the scales. */
const PICKED = 'picked'
const COMMENT = 'comment'

/**
 * The answers of a tasting as CSV, one row an answer: taster, round, code, question, answer. The key is not in it: codes
 * say nothing to who fills it in. A tasting without answers gives the empty table that is filled in.
 */
export function tastingTable({ design, answers }: Tasting): string {
  const by = new Map(answers.map((answer) => [answer.servingId, answer]))
  const rows = (design?.servings ?? [])
    .filter(({ round }) => round > 0)
    .flatMap(({ id, tasterId, round, glasses }) => {
      const answer = by.get(id)
      const row = (code: number | null, question: string, value: string | number | null) => [
        tasterId,
        round,
        code,
        question,
        value,
      ]
      if (answer === undefined) return glasses.map(({ code }) => row(code, '', null))
      return [
        ...answer.picked.map((code) => row(code, PICKED, 1)),
        ...answer.marks.map(({ code, ask, value }) => row(code, ask, value)),
        ...(answer.comment === '' ? [] : [row(null, COMMENT, answer.comment)]),
      ]
    })
  return toCsv(COLUMNS, rows)
}

/** Answers that were read from a table, and what is wrong in it, row by row. */
export interface ReadAnswers {
  readonly answers: readonly TastingAnswer[]
  readonly faults: readonly string[]
}

const ASKS: ReadonlySet<string> = new Set(Ask.options)
const isAsk = (word: string): word is Ask => ASKS.has(word)

/**
 * Reads answers back: columns by their names, in any order. An answer is of the serving that its code stands in, so that
 * a wrong taster or round is told instead of taken.
 * @param at when they were read, ms since 1970
 */
export function readTastingTable(text: string, { design }: Tasting, at: number): ReadAnswers {
  const table = readTable(text)
  if (!table.ok) return { answers: [], faults: [table.issues[0]?.message ?? 'This is no table.'] }
  const { columns, rows } = table.value
  const places = new Map(columns.map((name, place) => [name.trim().toLowerCase(), place]))
  const absent = COLUMNS.filter((name) => !places.has(name))
  if (absent.length > 0)
    return {
      answers: [],
      faults: [`The columns ${absent.join(', ')} are missing. It needs ${COLUMNS.join(', ')}.`],
    }
  const servings = (design?.servings ?? []).filter(({ round }) => round > 0)
  const found = new Map<string, { serving: Serving; picked: number[]; marks: Mark[]; comment: string }>()
  const faults: string[] = []
  rows.forEach((cells, index) => {
    const cell = (name: (typeof COLUMNS)[number]): string => (cells[places.get(name) ?? -1] ?? '').trim()
    const question = cell('question').toLowerCase()
    const given = cell('answer')
    if (given === '') return
    const fault = (words: string) => faults.push(`Row ${index + 2}: ${words}`)
    const code = cell('code') === '' ? null : Number(cell('code'))
    const round = Number(cell('round'))
    const serving = servings.find(
      ({ glasses, tasterId, round: of }) =>
        (code === null && tasterId === cell('taster').toUpperCase() && of === round) ||
        glasses.some((glass) => glass.code === code),
    )
    if (serving === undefined) {
      fault(`no serving has the code “${cell('code')}”.`)
      return
    }
    if (cell('taster') !== '' && cell('taster').toUpperCase() !== serving.tasterId) {
      fault(`${cell('code')} stood before ${serving.tasterId}, not before ${cell('taster')}.`)
      return
    }
    const answer = found.get(serving.id) ?? { serving, picked: [], marks: [], comment: '' }
    found.set(serving.id, answer)
    if (question === COMMENT) {
      answer.comment = given.slice(0, 1000)
      return
    }
    const value = numberCell(given, table.value)
    if (code === null || value === null || !Number.isFinite(value)) fault(`“${given}” is no number.`)
    else if (question === PICKED) {
      if (value === 1) answer.picked.push(code)
    } else if (isAsk(question)) answer.marks.push({ code, ask: question, value })
    else fault(`“${question}” is no question of a tasting.`)
  })
  return {
    faults,
    answers: [...found.values()].map(({ serving, picked, marks, comment }) => ({
      servingId: serving.id,
      at,
      by: 'file',
      picked,
      marks,
      comment,
      isWhole: true,
    })),
  }
}
