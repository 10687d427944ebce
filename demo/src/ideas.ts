import type { Idea } from '@frijol/core/model'

/** What Saltmarsh Row keeps in mind: tried once, and told before it comes back. */
export const ideas: readonly Idea[] = [
  {
    id: 'idea-smoked-paprika',
    verdict: 'rejected',
    what: { kind: 'food', foodId: 'smoked-paprika', name: 'Smoked paprika', side: 'any', pct: 0 },
    words: 'smoked paprika for the lamb note',
    reason: 'reads as sausage (P3, P6)',
    scope: { kind: 'dish', dishId: 'moussaka' },
    dishId: 'moussaka',
    dishName: 'Moussaka',
    trialNumber: 4,
    date: '2026-06-12',
  },
  {
    id: 'idea-gluten-last',
    verdict: 'kept',
    what: { kind: 'food', foodId: 'vital-wheat-gluten', name: 'Vital wheat gluten', side: 'above', pct: 3.5 },
    words: 'six spoons of gluten, stirred in last',
    reason: 'the chew is there and the granules stay apart',
    scope: { kind: 'dish', dishId: 'moussaka' },
    dishId: 'moussaka',
    dishName: 'Moussaka',
    trialNumber: 3,
    date: '2026-06-12',
  },
  {
    id: 'idea-soy-strips',
    verdict: 'rejected',
    what: {
      kind: 'swap',
      fromId: 'vital-wheat-gluten',
      toId: 'textured-soy-protein',
      fromName: 'Vital wheat gluten',
      toName: 'Textured soy',
    },
    words: 'soy strips in place of the dough',
    reason: 'cardboard edges, beany (P1 to P4)',
    scope: { kind: 'family', family: 'bound-dough-slice' },
    dishId: 'souvlaki-strips',
    dishName: 'Souvlaki strips',
    trialNumber: 3,
    date: '2026-06-11',
  },
]
