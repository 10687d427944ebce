/** Colours for kinds of food, as CSS; grouped so that neighbours in a formula differ. Never the only sign. */
const COLOURS: Readonly<Record<string, string>> = {
  pulse: '#7a4b2c',
  mushroom: '#8a7364',
  nut: '#b98a4f',
  seed: '#b98a4f',
  gluten: '#3d6f86',
  soy: '#6f8fa0',
  grain: '#c2a878',
  flour: '#c2a878',
  starch: '#a9b6bd',
  gum: '#8f7fa8',
  vegetable: '#6d8f4e',
  herb: '#6d8f4e',
  fruit: '#c4683c',
  spice: '#b9770e',
  savoury: '#a3303c',
  seaweed: '#3a5a4c',
  acid: '#c9a227',
  fat: '#c9a227',
  sweetener: '#d08a6a',
  'plant-milk': '#cdbfa3',
  salt: '#6a5a62',
  leavening: '#9b8d95',
  water: '#7fa9ba',
}
const OTHER = '#8d6b74'

export const classColour = (kind: string | null): string => (kind === null ? OTHER : (COLOURS[kind] ?? OTHER))
