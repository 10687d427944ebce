/**
 * Where focus goes when a row is taken out: to the same button of its neighbour, the next one or else the one
 * before, or to the field that adds one.
 * @returns to be called after the row is gone
 */
export function neighbourFocus(button: HTMLElement): () => void {
  const row = button.closest('li, tr')
  const list = row?.parentElement
  const index = row === null || list == null ? -1 : [...list.children].indexOf(row)
  const kind = button.dataset['act'] ?? ''
  return () => {
    requestAnimationFrame(() => {
      const rows = [...(list?.children ?? [])]
      const neighbour = rows[Math.min(index, rows.length - 1)]
      const same = neighbour?.querySelector<HTMLElement>(`[data-act="${kind}"]`)
      const next = same ?? list?.closest('section, main')?.querySelector<HTMLElement>('input, button')
      next?.focus()
    })
  }
}
