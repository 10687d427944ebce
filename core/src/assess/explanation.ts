/** Which figure is asked about. */
export type Asked =
  | { readonly kind: 'line'; readonly partId: string; readonly lineId: string }
  | {
      readonly kind: 'ratio' | 'attribute'
      readonly partId: string
      readonly id: string
      /** Asked of the second way in which the part is served. */
      readonly isSecond?: boolean
    }
  | { readonly kind: 'step'; readonly partId: string; readonly stepId: string }
  | { readonly kind: 'portion'; readonly nutrient: PortionFigure }

export type PortionFigure =
  'proteinG' | 'fatG' | 'saturatedFatG' | 'carbohydrateG' | 'fibreG' | 'sodiumMg' | 'energyKcal' | 'cost'

export interface Explained {
  readonly label: string
  readonly value: string
  readonly source: string
}

/** The answer to "why?": the equation, the inputs with their sources, and what moves it most. */
export interface Explanation {
  readonly title: string
  readonly equation: string
  readonly inputs: readonly Explained[]
  /** What moves it most, and what else each of them moves (empty where it moves little else). */
  readonly levers: readonly { readonly label: string; readonly change: string; readonly besides?: string }[]
  readonly source: string
}
