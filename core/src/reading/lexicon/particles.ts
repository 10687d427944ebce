/** Small words of English by what they do in a kitchen sentence. @source practice */
const words = (text: string): ReadonlySet<string> => new Set(text.split(/\s+/).filter((word) => word !== ''))

/** What opens a noun phrase: after a verb it shows that the verb is one. */
export const DETERMINERS = words(
  `the a an it them this these that those both half all everything each every your my our his her their its some any
  another enough plenty one two three four five six seven eight nine ten twelve most more extra twice once what whatever
  him another remaining other last everything`,
)
/** What may follow a verb that has no object, or comes after its object. */
export const PREPOSITIONS = words(
  `in into inside with without over on onto for until till to at out off up down under through throughout about around as from
  by between among across along against after again together well hard gently slowly lightly briefly finely roughly
  thoroughly immediately overnight covered uncovered everything together back away aside then very once plus per like`,
)
/** They join clauses. */
export const CONNECTIVES = words('and then or & plus but so nor')
export const SUBJECTS = words(`i we you they i'll we'll you'll we'd i'd`)
/** They may stand before a verb without changing what it does. */
export const ADVERBS = words(
  `then just also now next again immediately meanwhile carefully first finally lightly slowly well gently quickly
  thoroughly briefly finely roughly coarsely thinly simply either please lastly secondly thirdly afterwards later always right
  okay ok so only still even really let's lets at cold once deep dry quick never don't`,
)
