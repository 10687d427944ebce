import type { OperationId } from '../model'

/** When a step is done, and what to do if it is not. */
export interface Guidance {
  readonly cue: string
  readonly remedy: string
}

/** @source processes 3.1 to 3.32 of the model page; practice */
const GUIDANCE: Readonly<Record<OperationId, Guidance>> = {
  soak: {
    cue: 'Halves split without a pale, dry core.',
    remedy: 'Still wrinkled: a hot quick soak, or a little soda. Foam or a sour smell: throw it out.',
  },
  hydrate: {
    cue: 'Springy through, no hard core; a gel drips slowly.',
    remedy: 'Mushy: less liquid, then dry it in the pan. Dry core: simmer it.',
  },
  rinse: {
    cue: 'The water runs clear and the foam is gone.',
    remedy: 'Still wet for a patty: dry it on a cloth, or 10 minutes at 160 °C.',
  },
  drain: {
    cue: 'No more than a drop a second falls.',
    remedy: 'Shake, and turn cut sides down for two minutes.',
  },
  desalt: {
    cue: 'It tastes pleasantly salt, not sharp.',
    remedy: 'Flat: it lay too long; season the dish instead.',
  },
  press: {
    cue: 'The block bends without weeping.',
    remedy: 'Cracks: less weight, longer. Rubbery edges: stop sooner.',
  },
  squeeze: { cue: 'No drop falls from a firm fist.', remedy: 'Use a cloth, in smaller handfuls.' },
  trim: { cue: 'Nothing woody or brown is left.', remedy: 'Weigh what is left and enter it.' },
  chop: { cue: 'Pieces are even.', remedy: 'Uneven pieces: cut the large ones again.' },
  grate: { cue: 'Even shreds.', remedy: 'Salt and squeeze watery shreds.' },
  rice: {
    cue: 'Grains of 3 to 6 mm, no paste at the base.',
    remedy: 'Paste: half-fill the bowl, pulse, dry pieces first.',
  },
  mash: { cue: 'As coarse as the bite wants.', remedy: 'Too fine: fold in some left whole.' },
  blend: {
    cue: 'It rubs smooth between the fingers and the vortex closes.',
    remedy: 'Gritty: soak the nuts longer, or strain it. It splits: stream the fat in slowly.',
  },
  mix: { cue: 'No dry pocket is left.', remedy: 'Too wet: rest it before adding anything dry.' },
  knead: {
    cue: 'It pulls in sheets and threads.',
    remedy: 'Spongy crumbs: 5 % more gluten. Rubber: knead less, or add beans.',
  },
  rest: { cue: 'The binder has taken up its water.', remedy: 'Correct the water only now.' },
  'wash-gluten': {
    cue: 'The water is nearly clear and the mass is elastic.',
    remedy: 'It dissolves: weak flour, or no rest. Keep the starch water eight hours to settle.',
  },
  shape: {
    cue: 'Holds when pressed, does not stick to a wet palm.',
    remedy: 'Sticks: chill it. Cracks: a spoon of water, and rest.',
  },
  wrap: { cue: 'Tight, with twisted ends and no air.', remedy: 'Loose: wrap it again, or it will puff.' },
  chill: {
    cue: 'Releases clean, and a knife leaves a face.',
    remedy: 'Weeps: more starch, or cool it slower. Soft: see that the gel boiled.',
  },
  'freeze-thaw': {
    cue: 'Open, spongy layers; soft through.',
    remedy: 'Thaw in the refrigerator and press out the drip.',
  },
  toast: {
    cue: 'One shade darker, and it smells of itself.',
    remedy: 'Tip it out at once; it goes on cooking. Bitter: throw it out.',
  },
  sweat: { cue: 'Soft and glassy, without colour.', remedy: 'Colour: lower heat, and a lid.' },
  brown: {
    cue: 'The sizzle turns from steam to crackle; edges are deep gold.',
    remedy: 'Grey and wet: smaller loads, salt late. Sticky base: a splash of water.',
  },
  'water-saute': {
    cue: 'The pan goes from glossy to sticky brown and lets go with the next splash.',
    remedy: 'Stewing: smaller additions. Too salt: plain water after the second.',
  },
  boil: {
    cue: 'Crushes between tongue and palate.',
    remedy: 'Hard after two hours: old beans, or 0.1 % soda. Skins burst: lower heat.',
  },
  absorb: {
    cue: 'No free water; grains look through.',
    remedy: 'Wet: five minutes without a lid. Hard: 5 % more water, and rest.',
  },
  simmer: {
    cue: 'Bubbles rise one by one; the flavour is even.',
    remedy: 'Thin: lid off. Too salt: add unsalted beans. Catches: stir.',
  },
  steam: {
    cue: 'A knife slips in; dough springs back.',
    remedy: 'Doughy core: longer. Waterlogged: drain cut side down.',
  },
  'pressure-cook': {
    cue: 'Tender through after the natural release.',
    remedy: 'Foam in the valve: a teaspoon of oil. Split skins: release slowly.',
  },
  roast: {
    cue: 'Edges coloured, it lets go of the tray.',
    remedy: 'Crumbles: more binder, or chill it first. Wet centre: thinner, longer, 20 °C cooler.',
  },
  'air-fry': {
    cue: 'Crisp outside, it rattles in the basket.',
    remedy: 'Dry: a spray of oil. Pale: one layer, shake twice.',
  },
  grill: {
    cue: 'Clear lines, and it lets go without tearing.',
    remedy: 'Sticks: hotter bars, oil the food, wait. Falls apart: chill it first.',
  },
  sear: { cue: 'A brown crust that lets go.', remedy: 'Sticks: leave it alone a minute longer.' },
  'shallow-fry': { cue: 'Golden, and the bubbling slows.', remedy: 'Greasy: hotter oil, fewer at a time.' },
  'deep-fry': {
    cue: 'The bubbling slows; golden; core hot.',
    remedy: 'Dark and raw inside: 15 °C cooler, thinner. Greasy: hotter, fewer.',
  },
  reduce: {
    cue: 'Coats a spoon, or shows its mass on the scale.',
    remedy: 'Too far: water back to the wanted mass. Split: off the heat, and blend.',
  },
  thicken: {
    cue: 'A finger leaves a track on the spoon.',
    remedy: 'Thin: simmer on, or slurry 1 % starch. Lumps: blend or sieve.',
  },
  heat: { cue: 'Hot through, not boiling.', remedy: 'Splits: take it off the heat and whisk.' },
  infuse: {
    cue: 'The liquid smells clearly of it.',
    remedy: 'Bitter: too hot or too long. Garlic or herbs in oil: chill, and use within four days.',
  },
  dehydrate: {
    cue: 'Bends, tears in fibres, no moist spot when torn.',
    remedy: 'Hard skin, wet core: rest it sealed for an hour, then go on cooler.',
  },
  culture: {
    cue: 'pH 4.6 or below within 24 hours, a clean sour smell.',
    remedy: 'Pink, black or fuzzy, or above 4.6 after a day: throw it out.',
  },
  coagulate: {
    cue: 'Clear, yellow whey.',
    remedy: 'Milky whey: hotter, or more coagulant. Grainy: add it slower.',
  },
  whip: { cue: 'Holds a peak.', remedy: 'Will not rise: fat in the bowl, or too thin; reduce it by half.' },
  spherify: {
    cue: 'Holds on a spoon and bursts.',
    remedy: 'Tails: drop from 50 mm, change the thickness. Too acid: buffer it.',
  },
  strain: { cue: 'Drips have stopped.', remedy: 'Clogged: a coarser cloth, or warm it.' },
  marinate: {
    cue: 'The cut face is coloured 3 to 6 mm in.',
    remedy: 'Only the surface: press first, cut thinner, or simmer it in the marinade.',
  },
  coat: {
    cue: 'An even film that does not slide.',
    remedy: 'Slides off: dry the food first, dust with starch.',
  },
  broil: { cue: 'Brown spots, bubbling edges.', remedy: 'Burns: further from the bars.' },
  hold: {
    cue: 'Stays above 57 °C.',
    remedy: 'Below 57 °C for over four hours: throw it out. Follow your local food code.',
  },
  cool: {
    cue: 'Below 21 °C within two hours, 5 °C within six.',
    remedy: 'Shallow trays cool faster. Follow your local food code.',
  },
}

export const guidanceOf = (operation: OperationId): Guidance => GUIDANCE[operation]
