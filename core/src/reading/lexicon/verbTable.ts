/** Phrases that stand in several senses, by the name in braces. */
export const PHRASES: Readonly<Record<string, string>> = {
  cold: String.raw`\b(?:in the cold(?=\s*(?:[.,;]|$|for|until|over))|fridge|refrigerator|icebox|cold place|coolest)\b`,
  sours: String.raw`\bat (?:about |around )?(?:3[5-9]|4[0-8])\s?(?:°|º|degrees?|deg)?\s?C?\b[^.;]*\b(?:[4-9]|1\d|2\d)(?:\s*(?:-|–|to)\s*\d+)?\s?(?:hours?|hrs?|h)\b|\b(?:somewhere|in a|at a) (?:nice and |nice |good |snug )?(?:warm|draught-free)\b[^.;]*\b(?:[5-9]|1\d|2\d)(?:\s*(?:-|–|to)\s*\d+)?\s?(?:hours?|hrs?|h)\b`,
  oven: String.raw`\b(?:oven|air[- ]?fryer)\b`,
  coats: String.raw`\b(?:(?:in|with|through|into|on) (?:the |a little |some |plenty of |remaining |rest of the |seasoned )*(?:\w+ ){0,3}(?:crumbs?|breadcrumbs?|panko|flour|cornflour|cornstarch|starch|semolina|batter|glaze|cornmeal|polenta))\b`,
}

/** What letting food lie does, by the words beside it. */
export const RESTS = String.raw`
  simmer \b(?:on|over) (?:a |the )?(?:very )?(?:low|slow|small|gentle|medium) (?:flame|fire|heat|gas)\b
  culture {sours}
  chill {cold}
  cool \b(?:to|until|till|get|until it is|until they are)\b[^.;]{0,20}\b(?:cool|cold|hand-?warm|room temperature|no longer (?:warm|hot|steaming)|lukewarm)\b|\buntil cold\b
  drain \bto (?:drain|drip)\b|\bin a (?:sieve|colander)\b|\bhang
  soak \bto (?:soak)\b
  marinate \bto (?:marinate|marinade)\b
  infuse \bto (?:infuse|steep)\b
  chill \bto chill\b|\bto firm up in (?:the|a) (?:fridge|refrigerator|freezer)\b
  freeze-thaw \bto (?:thaw|defrost)\b
  simmer \bto (?:bubble|simmer|tick|blip|cook)\b
  culture \b(?:sour|tang|ferment|culture|airing)\w*\b
  rest
`

/**
 * Verbs of the kitchen and what they do. A row names verbs; in brackets what they are: "put" brings foods in, "let" lets
 * another verb happen, "give" gives time, "none" is no doing; "joins" puts what it names to what is in hand; "noun" is a
 * food, a thing or an adjective as well. After "=" or below stand the operations, each with the words beside it that make
 * it so; the first that fits counts, "none" is no operation. Lines that begin with "+" go on with the verbs above.
 * @source practice
 */
export const VERB_TABLE = String.raw`
soak presoak pre-soak
  desalt \b(?:out|away) the salt\b
  soak
hydrate rehydrate reconstitute = hydrate
bloom
  toast \b(?:oil|fat|butter|spices?|pan)\b
  hydrate
rinse swill refresh scrub = rinse
desalt = desalt
wash
  wash-gluten \b(?:dough|gluten|starch)\b
  rinse
drain = drain
decant
  none \binto (?:\w+ )?(?:jars?|bottles?|pots|tubs?|containers?|cups|glasses|moulds?)\b
  drain
strain sieve filter [noun] = strain
press [noun]
  none ^\s*(?:firmly |gently |well |down )?(?:to (?:seal|close|stick)|the (?:edges?|ends?|seams?|joins?))\b|^[^.;]{0,40}\bto (?:seal|close|crimp)(?: (?:the edges?|well|them|it|tightly))?\W*$
  coat ^\s*(?:firmly |gently |well )?(?:in|into|onto) (?:the |your |some )?(?:\w+ )?(?:crumbs?|breadcrumbs|panko|seeds|sesame|cornflakes|flakes)\b
  coat \b(?:sides?|faces?|edges?|tops?|bottoms?|each|it|them)\b[^.;]{0,24}\b(?:in|into|onto)\b (?:it\b|them\b|the (?:\w+ )?(?:mix|mixture|crumbs?|powder|flour|seeds|spices|sesame)|(?:\w+ )?(?:crumbs?|panko|flour|seeds|sesame|spices))
  none ^\s*(?:well|hard|down)?\s*[.,;]?\s*$|^\s*(?:on |out )?the (?:pulp|okara|residue|solids)\b
  shape ^(?:\s*(?:it|them|this|the [\w ]{1,30}?|both|in|half|down))?[^,.;]*?\b(?:together|flat|into|onto|down into|in half|in the (?:tin|dish|mould)|over the base|out to)\b(?! a tin lid)
  press
weigh
  press \bdown\b
  none
squeeze wring
  shape \b(?:in|between) (?:your|the|a) (?:palms?|hands?|fist|fingers)\b(?!.*\b(?:water|liquid|moisture|juice|dry)\b)
  none \bout as much (?:\w+ )?(?:milk|liquid)|^\s*a (?:handful|little|bit)\b
  mix ^\s*(?:in|over)\b|\b(?:lemon|lime|orange)s?\b[^.;]*\b(?:over|in|into)\b
  squeeze
trim peel core stem stone pit hull deseed de-seed skin shell destem de-stem top-and-tail husk pod [noun] = trim
pick
  none \b(?:over|out)\b
  trim
chop dice slice cut shred tear mince cube halve quarter carve crack snip julienne split flake bash chunk
+ sliver shave spiralise spiralize [noun]
  shape \b(?:pastry|dough)\b
  trim \boff\b[^.;]{0,20}\b(?:stems?|ends?|tops?|roots?|stalks?|core|skin|peel|rind|crust)\b|\b(?:tops?|ends|stems?|stalks?|roots?|lids?)\s+off\b
  none \ba (?:cross|slit|hole|vent)|\bthe heat\b|^\s*the (?:salt )?crust\b(?! (?:into|off))
  chop
break
  chop \b(?:up|apart|into|down)\b
  none
pull
  chop \b(?:apart|into (?:shreds|strands|pieces|strips))\b
  none \b(?:off|from|out)\b
  shape
grate coarsely-grate = grate
zest [noun] = grate
pulse [noun] = rice
rice [noun] = mash
crumble [noun] = mash
squash smush scrunch [noun]
  mix \b(?:about|together with (?:your|clean|wet)|with (?:your|clean|wet|both) hands)\b
  mash
mash crush mush smash muddle [noun] = mash
pound [noun] = mash
blend liquidise liquidize blitz whizz whiz buzz puree purée [noun] = blend
zap [noun]
  heat \b(?:full|half|high|medium|low) (?:power|blast)\b|\b\d{3,4} ?w\b|\bmicrowave\b
  blend
process [noun]
  rice \bcrumbs?\b
  blend
grind mill
  blend \b(?:paste|batter|smooth|water|wet|pur[eé]e|broth|stock|cream)\b
  rice
run
  blend \b(?:blender|processor|machine|motor|until|till|smooth)\b|^\s*(?:it |this |that )?(?:for )?(?:\d|two|three|a minute)
  none
mix combine stir fold whisk beat work cream blend-in marry [noun]
  heat ^\s*(?:it|them|this|the [\w ]{1,24})?\s*(?:constantly |continuously )?(?:over|on) (?:a )?(?:very )?(?:low|medium|gentle|moderate|high)[\w -]{0,12}(?:heat|flame)\b
  shape ^\s*(?:it |them |the (?:\w+ )?(?:pastry|dough|wrapper|sheet|tortilla|omelette|sides|edges|ends) )?(?:over|in half)\b
  whip \b(?:peaks?|(?:to|until|till|into) (?:an? )?(?:\w+ )?foam\w*|foamy|stiff(?! (?:\w+ )?(?:dough|paste|batter|mixture|mix))|fluffy|frothy|doubled|thick and glossy)\b|\bholds? (?:its|a) shape\b
  none ^\s*(?:now and|occasionally|often|from time|once\b|twice\b)[^,.;]*$
  knead \b(?:into a (?:firm |stiff |smooth )?dough) and knead\b
  mix
shake [noun]
  mix \b(?:in|into|inside) (?:a|an|the) (?:\w+ )?(?:jar|bottle|shaker|tub|bag)\b|\btogether\b
  none \b(?:off|pan|basket|tray|dry)\b
  mix
toss [noun]
  coat {coats}
  shallow-fry \b(?:high|fierce) (?:heat|flame)\b
  mix
season [joins noun] = mix
salt [noun] = mix
sprinkle scatter sow strew dot crown garnish finish dress [joins noun] = mix
slake dissolve disperse = mix
loosen [joins noun]
  none ^\s*(?:it|them|the (?:edges?|sides?|ribs|loaf|cake|[a-z]+s))?\s*(?:[.,;]|$|from the (?:tin|pan|sides?|tray)|with a (?:knife|spatula|palette))
  mix
thin moisten lighten enrich sharpen balance deepen bind [joins noun] = mix
rub massage
  trim \b(?:off|skins?)\b
  coat \b(?:all over|over|onto|with (?!your|the (?:tips|fingers|hands))|into (?:the )?(?:cubes|shreds|strips|pieces|tofu|slices|slabs))\b(?!.*\b(?:flour|butter|fat)\b)
  mix
knead
  rinse \b(?:under|in) (?:the |fresh |cold |plenty of )?water\b
  knead
whip [noun] = whip
churn = chill
layer stack assemble sandwich interleave [noun] = shape
glaze [noun]
  sweat ^\s*the (?:\w+ )?(?:onions?|shallots?|leeks?)\b(?! with)
  sweat \bin (?:the |some |a little )?(?:\w+ )?(?:oil|butter|margarine|fat)\b|\b(?:glassy|translucent)\b
  coat
coat baste brush bread dredge dust lacquer slather [noun]
  none ^\s*(?:off|away)\b|^\s*the (?:board|work)|\bclean\b
  none ^\s*(?:a|the|your) (?:tin|tray|dish|pan|mould|board|work)
  none ^\s*(?:(?:the|each|its|their|all|round|around) )*(?:edges?|rims?|borders?|seams?)\b[^.;]*\bwater\b
  coat
dip dunk drag draw turn-in
  none ^\s*(?:(?:each|every|the|an?|your|both|its|their|of|base|bottom|sides?) )*(?:[a-z]+ )?(?:moulds?|molds?|tins?|ramekins?|dish(?:es)?|darioles?|glass(?:es)?|hands?|fingers?|fingertips|knife|spoon|scoop|cutter|spatula)\b
  soak \b(?:cold|warm|hot) water\b|\bin water\b
  coat
batter [noun] = coat
drizzle [joins noun] = coat
spoon [noun]
  coat \bover\b
  none \b(?:jars?|tins?|tubs?|moulds?)\b|\binto (?:a|the|some)\b[^.;]*\b(?:muslin|cheesecloth|cloth|nut milk bag|sieve|colander)\b
  shape
spread smear [noun]
  shape \b(?:to|in) (?:a|an even) (?:depth|thickness)\b|\b\d+(?:\.\d+)? ?cm (?:thick|deep)\b
  shape \b(?:base|bottom) of (?:a|an|the|your)\b
  none \b(?:towels?|cloths?|rack|paper|tray|trays|tins?|sheet|sheets|plate|baking|board)\b
  shape
marinate marinade marinade [noun] = marinate
cure brine pickle [noun] = marinate
shape form roll mould mold portion divide pat thread skewer twist knot plait braid pipe flatten stuff crimp [noun]
  none ^\s*(?:and hang|the (?:cloth|edges?|ends)\b)
  none \b(?:dry)\b(?=.*(?:towel|paper)|[^a-z]*$)
  coat ^\s*(?:(?:them|it|each|the [\w ]{1,24}) )?(?:in|through) (?:the |some |more )?(?:\w+ )?(?:crumbs|breadcrumbs|panko|flour|sesame|seeds|coconut|cornmeal|polenta|semolina|chopped|ground)\b
  coat ^\s*(?:(?:them|it|the [\w ]{1,24}) )?(?:in|through)\b(?! (?:to|half|a ball|foil|paper|the))
  coat ^\s*(?:them|it|the [\w ]{1,24}) (?:in|through)\b
  none \bthe edges?\b(?!.*\bfold)
  shape
quarter-up = shape
tie
  shape \b(?:knots?|rope)\b
  none
make
  sweat ^\s*(?:the|your) (?:[\w-]+ ){1,3}(?:sweat|soften|wilt)\b
  brown ^\s*(?:the|your) (?:[\w-]+ ){1,3}(?:brown|colour|caramelise|take colour)\b
  simmer ^\s*(?:the|your) (?:[\w-]+ ){1,3}(?:simmer|stew)\b
  heat ^\s*(?:the|your) (?:[\w-]+ ){1,3}melt\b
  mix \b(?:flax|flaxseed|linseed|chia) eggs?\b
  shape \b(?:balls?|patt(?:y|ies)|burgers?|ovals?|cakes?|logs?|sausages?|rounds?|dumplings?|koftas?|balls|discs?|nuggets?|fritters?)\b
  none
scoop [noun]
  shape \b(?:balls|mounds|portions|dough)\b
  drain \bout the (?:solid|thick|cream|set)
  trim \b(?:seeds|gills|middle|pulp|flesh|insides?|cores?|centres?)\b
  none
scrape [put]
  trim \bout the (?:gills|seeds|flesh|pulp)
  none
wrap swaddle bundle [noun] = wrap
rest [noun]
  {rests}
stand sit leave wait prove proof settle relax [noun]
  none \bwhere (?:they|it)\b
  none ^\s*(?:it |them |the [\w ]{1,24}? )?(?:upright|snugly|side by side|on (?:its|their) (?:end|side))\b
  simmer \b(?:tiny |small |lazy )?bubbles\b
  none ^\s*(?:it|them|this|the \w+)? ?(?:alone|aside|behind|a gap|space|room|the (?:skins?|seeds?) on|out\b(?! (?:at|on|for|overnight|of the fridge)))
  {rests}
chill refrigerate [noun] = chill
firm [noun]
  chill \bup\b
  none
set [noun]
  none ^\s*(?:up|out)\b|^\s*(?:the|your) (?:\w+ )?(?:cooker|pot|multicooker|machine|dial|timer|hob|burner)\b|\bto (?:saut[eé](?![a-zß-ɏ])|(?:high|low|medium|manual)\b)
  none \b(?:aside|apart|to one side)\b
  chill {cold}
  none \b(?:over|on|in|under|with|at)\b
  chill
cool [noun] = cool
freeze
  none \bin (?:[a-z]+ )?(?:portions?|batches)\b|\bfor (?:later|up to)\b|\b(?:weeks|months)\b|\bleftovers\b|\bwhat is left\b
  freeze-thaw
thaw defrost = freeze-thaw
mature ripen age = culture
toast dry-roast dry-fry parch [noun] = toast
temper
  heat \b\d+ ?°? ?[CF]\b|\bchocolate\b
  toast
sizzle splutter crackle = toast
pop [put noun]
  toast \b(?:seeds?|jeera|rai|corn|sorghum|amaranth)\b
sweat soften wilt = sweat
sauté saute [noun]
  water-saute \b(?:splash\w*|spoonfuls?|additions?) of (?:water|stock|broth)\b|\bin (?:water|stock|broth)\b
  brown \b(?:brown\w*|golden|colou?r\w*|high heat|caramel\w*)\b
  sweat \b(?:onions?|shallots?|celery|soft\w*|translucent)\b
  brown
brown caramelise caramelize colour color stir-fry stirfry char [noun]
  broil \b(?:under|beneath) (?:the|a) (?:hot |very hot )?(?:grill|broiler)\b
  water-saute \b(?:splash\w*|spoonfuls?|additions?) of (?:water|stock|broth)\b|\bin (?:water|stock|broth)\b
  brown
crisp [noun]
  roast {oven}
  shallow-fry
sear = sear
scramble = sweat
boil blanch parboil par-boil [noun]
  reduce \bdown\b
  none ^\s*(?:a|the) kettle\b
  boil
scald
  heat \bmilk\b
  boil
simmer poach stew braise blip plop murmur putter [noun] = simmer
tick
  simmer \bover\b
  none
bubble [noun]
  reduce \b(?:away|off|down)\b|\breduced?\b|\bhalf\b
  simmer
come
  heat ^\s*(?:back |up )?to (?:a|the) (?:[\w-]+ )?(?:boil|simmer|bubble)\b
  none
bring
  none ^\s*(?:(?:the|its|their|both|all|two|four|opposite) )*(?:sides?|edges?|corners?|ends?|flaps?)\b
  mix \btogether\b
  heat \bto\b|\bup\b
  none
reduce
  none \b(?:the )?(?:heat|flame|temperature|oven)\b|^\s*to (?:a )?(?:very )?(?:low|medium|simmer|gentle|minimum)\b
  reduce
steam [noun]
  sweat \bglassy\b
  steam
pressure-cook = pressure-cook
bulk-ferment bulk-proof bulk-prove = rest
bake oven-bake blind-bake par-bake pre-bake prebake
  shallow-fry \bin (?:the |a |some |a little |plenty of |hot )*(?:\w+ )?oil\b|\bin (?:the |a )?(?:hot )?(?:frying pan|skillet)\b
  roast
roast [noun]
  sweat \b(?:onions?|shallots?|leeks?|garlic)\b[^.;]*\bin (?:the |a little |some |hot )?(?:\w+ )?(?:oil|butter|margarine|fat)\b(?!.*\boven\b)
  toast \bdry (?:pan|kadhai|skillet|frying pan)\b|\bin a (?:dry|hot) pan\b
  roast
blast
  chill \bchill
  sear \b(?:pan|wok)\b
  broil \b(?:grill|broiler)\b
  roast
air-fry airfry af = air-fry
microwave nuke zap-in = heat
grill griddle barbecue chargrill char-grill [noun] = grill
broil gratinate flash [noun]
  sear \bpan\b
  broil
fry pan-fry panfry shallow-fry [noun]
  brown \b(?:until|till) (?:the pan is |all )?dry\b
  shallow-fry
deep-fry deepfry = deep-fry
melt = heat
heat warm reheat [noun] = heat
thicken = thicken
cook [noun]
  pressure-cook \bpressure\b|\bpressure[- ]cooker\b
  roast {oven}
  thicken \b(?:until|till)[^.;]*\b(?:thick|thicken\w*|coats)\b
  reduce \b(?:until|till)[^.;]*\breduced (?:by|to)\b
  broil \b(?:under|beneath) (?:the|a) (?:hot |very hot )?(?:grill|broiler)\b
  simmer \bdown\b
  boil \b(?:boiling|salted) (?:salted )?water\b|\b(?:pasta|noodles|spaghetti|macaroni|gnocchi)\b
  absorb \b(?:rice|quinoa|bulgur|couscous|millet|polenta|grains?)\b
  heat
infuse steep = infuse
smoke cold-smoke hot-smoke [noun] = infuse
dehydrate = dehydrate
dry [noun]
  sweat \bin (?:a|the|your) (?:dry |hot )?(?:pot|pan|skillet|saucepan|wok)\b
  rest ^\s*(?:out |off |there |a little )?for (?:about )?(?:\d+|ten|fifteen|twenty|thirty) ?(?:min|minutes)\b
  dehydrate \b(?:dehydrat\w+|\d+\s*°?\s*[CF]\b|hours?|\d+ days?|oven|sun|airing)\b|\bhair ?dryer\b
  none
culture ferment incubate [noun] = culture
coagulate curdle = coagulate
spherify = spherify
drip
  spherify \b(?:bath|calcium|alginate)\b
  none
hold
  culture {sours}
  chill ^\s*(?:there |cold |it )?for \d+ ?(?:h|hrs?|hours?)\b(?!.*\b(?:warm|hot|\d\d ?°))
  hold \b(?:warm|hot|at|there)\b|\b(?:above|over)\s+\d
  none
keep
  culture {sours}
  rest ^\s*(?:it |them )?covered\b
  hold \b(?:warm|hot|at \d+)\b
  chill {cold}[^.;]*\bfor\b
  none \b(?:stirring|whisking|kneading|going)\b
  none
drive
  reduce \boff\b
  none
deglaze extinguish [put joins]
hang
  none \bon to\b
  drain
start begin
  toast \bdry pan\b
  none
add [put joins]
incorporate [joins] = mix
tip pour return put place lay slide drop lower arrange throw chuck bung stream trickle ladle pile feed
+ slip plunge drape rain shower splash tumble slosh glug dollop introduce submerge drown immerse cover heap sink float nestle dump swirl ripple fork [put noun]
go [put noun]
  chop \bat (?:it|them|this|the [a-z]+) with (?:two|2|a couple of|a pair of|your) forks?\b
stick shove whack [put noun]
stretch [noun]
  shape \b(?:to|into|across) (?:the |its )?(?:edges|corners|tin|tray|sides)\b|\b(?:in)?to (?:a|an|flat|thin|long|two|four|six|eight) (?:[\w-]+ ){0,3}\w+
  none
pinch [noun]
  shape \boff\b[^.;]*\b(?:pieces?|balls?|bits?|lumps?|portions?)\b
  mix \btogether\b
  none
open empty [put]
fill = shape
top [joins noun]
  none \bup\b
  mix
pack [noun]
  none \b(?:jars?|bowl|tubs?|box|boxes|containers?)\b|\bin (?:\d+ ?k?g )?bags\b
  shape
line [none noun]
  shape \bwith (?:the )?(?:pastry|dough)\b|\ba [\w\s]*tart tin\b(?! with (?:paper|parchment|baking))
  none
forget = rest
let allow [let]
give get need want [give]
preheat pre-heat hand serve eat enjoy taste adjust check grease oil butter skim flip turn watch prick unwrap
+ unmould unmold invert remove discard bin save reserve lift take transfer move repeat stop light plate store
+ bottle flute count lie switch cut-off ease loosen-the help keep-an do avoid see note remember
+ continue carry pass push use measure prepare demould demold juice gather tuck pat blot dampen damp wet wipe clean
+ flour-the knock tap tilt swap lose try aim throw-away uncover unmould-it fish chuck-out float-off skim-off
+ collect label seal close clip ready unroll unfold deflate score mark nudge rough shut wait-for [none noun]
`
