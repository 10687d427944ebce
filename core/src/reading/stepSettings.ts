import { type Form, NO_SETTINGS, type OperationId, type StepSettings } from '../model'
import { pouredG } from './roughly'
import { valueOf } from './stepTimes'

const FORMS: readonly (readonly [RegExp, Form])[] = [
  [
    /\bpatt(?:y|ies)\b|\bburgers?\b|\bcutlets?\b|\bsteaks?\b|\bfritters?\b|\brissoles?\b|\bhash browns?\b|\bschnitzels?\b|\b(?:fish|potato|bean|pea|rice)?cakes\b|\bpress(?:ed|ing)? (?:it |them |down )?flat\b/i,
    'patty',
  ],
  [/\bballs?\b|\bkeftedes\b|\bfalafels?\b|\bdumplings?\b|\bkoftas?\b|\bpakoras?\b|\bmeatballs\b/i, 'ball'],
  [/\blogs?\b|\bsausages?\b|\broulades?\b/i, 'log'],
  [/\bloa(?:f|ves)\b|\bterrine\b/i, 'loaf'],
  [/\bstrips?\b|\brashers?\b|\bribbons?\b/i, 'strip'],
  [/\bcubes?\b/i, 'cube'],
  [/\bnuggets?\b|\bbreaded\b/i, 'breaded'],
  [/\bspread\b.{0,30}\b(?:thin|tray|sheet|out)\b|\bcrumbles?\b|\bin a thin layer\b/i, 'crumble'],
]
const CM = /(\d+(?:\.\d+)?)\s*-?\s*cm\b/i
const MM = /(\d+(?:\.\d+)?)\s*-?\s*mm\b/i
const ADDITIONS =
  /(\d+|two|three|four|five|six|eight)\s+(?:additions?|splashes)[^.]{0,24}?(\d+)\s*(?:g|ml)\b|(\d+)\s*(?:g|ml)\s+(?:of \w+ )?(?:at a time|additions?|splashes)/i
export function settingsIn(text: string, operation: OperationId | null): StepSettings {
  const cm = CM.exec(text)
  const mm = MM.exec(text)
  const isPan =
    cm !== null &&
    /^\s*(?:frying |saut[eé] |wide |dry |non-?stick |cast-iron )*(?:pan|skillet|pot|saucepan|casserole)/i.test(
      text.slice((cm.index || 0) + cm[0].length),
    )
  const additions = ADDITIONS.exec(text)
  const waterG = pouredG(text)
  const form = FORMS.find(([words]) => words.test(text))?.[1] ?? null
  return {
    ...NO_SETTINGS,
    vessel: /\bfood processor\b/i.test(text)
      ? 'processor'
      : /\bair[- ]?fryer\b/i.test(text)
        ? 'air-fryer'
        : /\bsaucepan|\bpot\b|\bcasserole\b/i.test(text)
          ? 'pot'
          : /\b(?:frying |saut[eé] |dry |wide )?(?:pan|skillet)\b/i.test(text)
            ? 'pan'
            : null,
    vesselCm: isPan ? Number(cm[1]) : null,
    heat: /\b(?:high|fierce|strong) heat\b|\bover high\b|\bhigh\b(?=[^.]{0,12}(?:,|min))/i.test(text)
      ? 'high'
      : /\b(?:low|gentle) heat\b|\bgently\b|\bover low\b/i.test(text)
        ? 'low'
        : /\bmedium(?:-high)? heat\b/i.test(text)
          ? 'medium'
          : null,
    lid: /\blid (?:on )?(?:ajar|half|slightly|askew)|\b(?:slightly|half|partly) (?:ajar|covered)\b|\bhalf[- ]covered|\bpart(?:ly|ially) covered/i.test(
      text,
    )
      ? 'ajar'
      : /\b(?:uncovered|lid off|without (?:a|the) lid|take the lid off)\b/i.test(text)
        ? 'off'
        : /\b(?:covered|lid on|with (?:a|the) lid|cover(?: the pan| it)? and|under a lid)\b/i.test(text) &&
            !/\bcovered? with (?:water|cold|plenty)/i.test(text)
          ? 'on'
          : null,
    isFan: /\bfan\b|\bconvection\b/i.test(text)
      ? true
      : /\b(?:no fan|conventional|top and bottom heat)\b/i.test(text)
        ? false
        : null,
    isWrapped:
      /\bwrap(?:ped)?\b|\bin foil\b|\bfoil parcel|\b(?:cover|covered|tent|tented|seal|sealed)\b[^.;]{0,30}\bfoil\b|\bunder foil\b/i.test(
        text,
      ) && operation !== 'rest',
    form,
    thicknessMm:
      mm !== null
        ? Number(mm[1])
        : cm !== null && !isPan && /\bthick|\bslices?|\blayer|\bpieces?|\bcubes?|\blogs?|\bacross/i.test(text)
          ? Number(cm[1]) * 10
          : null,
    layer: /\b(?:single|one|thin|even) layer\b|\bwithout crowding\b|\bspread (?:out )?thin/i.test(text)
      ? 'single'
      : /\b(?:deep|thick) layer\b|\bpiled?\b/i.test(text)
        ? 'deep'
        : null,
    waterG: waterG === null ? null : Math.min(1e6, waterG),
    additions:
      additions === null
        ? null
        : {
            count: Math.min(60, Math.max(1, valueOf(additions[1], undefined) ?? 4)),
            massG: Math.min(5000, Number(additions[2] ?? additions[3] ?? 20) || 20),
          },
    isDrained: null,
  }
}
