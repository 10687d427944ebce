import { create } from 'zustand'

const KEY = 'frijol-single-keys'

function stored(): boolean {
  try {
    return localStorage.getItem(KEY) !== 'off'
  } catch {
    return true
  }
}

/** Whether single letters are shortcuts; people who dictate or type with a switch turn them off. */
export const useSingleKeys = create<{ isOn: boolean }>(() => ({ isOn: stored() }))

export function setSingleKeys(isOn: boolean): void {
  useSingleKeys.setState({ isOn })
  try {
    localStorage.setItem(KEY, isOn ? 'on' : 'off')
  } catch {
    // A browser that keeps nothing asks again the next time.
  }
}
