import type { FamilyId } from '../model'

/** What is said at any counter. */
const ALWAYS = ['tastes right', 'needs salt', 'needs acid', 'sticks', 'took longer', 'was quicker'] as const

/** What cooks usually say of a kind of food while they make it. @source symptoms of the families' weak points; practice */
const BY_FAMILY: Readonly<Partial<Record<FamilyId, readonly string[]>>> = {
  'bound-dough-slice': ['dough too wet', 'dough too stiff', 'tears when kneaded', 'springs back', 'spongy'],
  shreddable: ['dough too wet', 'pulls in strands', 'rubbery', 'dry at the edge'],
  'crumble-mince': ['clumps', 'pasty', 'dry', 'granules stay apart', 'pale'],
  'bound-patty': ['falls apart', 'too wet to shape', 'cracks at the edge', 'holds well'],
  flaked: ['falls to pieces', 'flakes well', 'watery'],
  'crisp-strip': ['limp', 'brittle', 'chewy', 'burns at the edge'],
  'emulsified-sausage': ['fat runs out', 'crumbly slice', 'bursts', 'tight bite'],
  'egg-curd': ['weeps', 'rubbery', 'soft curds', 'too yellow'],
  'custard-gel': ['did not set', 'too firm', 'weeps', 'grainy'],
  foam: ['does not rise', 'falls', 'weeps', 'stands in peaks'],
  'liquid-yolk': ['too thin', 'skin too thick', 'holds its shape'],
  'pourable-sauce': ['too thin', 'too thick', 'splits', 'lumps'],
  'coating-sauce': ['too thin', 'too thick', 'lumps', 'coats the spoon', 'tastes of flour'],
  'stretch-melt': ['does not melt', 'stringy', 'oils off', 'pasty'],
  'sliceable-gel': ['did not set', 'crumbles when cut', 'slices clean', 'weeps'],
  'crumbly-brined': ['too soft', 'rubbery', 'crumbles well', 'bitter'],
  spreadable: ['grainy', 'too stiff', 'splits', 'spreads well'],
  'cultured-thick': ['thin', 'sour enough', 'not sour yet', 'whey on top'],
  'solid-fat': ['soft', 'grainy', 'greasy'],
}
const MOST = 8

/** Remarks that fit in one tap: those of the family first. */
export const usualRemarks = (family: FamilyId | null): readonly string[] =>
  [...(family === null ? [] : (BY_FAMILY[family] ?? [])), ...ALWAYS].slice(0, MOST)
