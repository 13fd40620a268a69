## ask-answer

ask-answer-metal = the metal
ask-answer-line-characters-long-at-most = The line is { $length } characters long; at most { $LONGEST } are read.
ask-answer-lot = Lot { $lot_n }: { $lot }.
ask-answer-what-make-from-name-finding = what to make from it: name a finding, for example ear wires
ask-answer-how-much-wire-there-for = how much wire there is, for example 2 m or 50 g
ask-answer-what-make-rings-or-finding = what to make: rings or a finding. The price of wire is under Stock
ask-answer-jump-rings = jump rings
ask-answer-wire-on-its-own = a wire on its own
ask-answer-asks-what = “{ $text }” asks something, but not what. Try “how much wire for” or “which wire for”, or leave it out.
ask-answer-number-of-what = The number before “in { $text }” has no unit. Write 18 ga, 18 mm or 18 inches.
ask-answer-unit-without-number = “{ $text }” has no number. Write one before it, or leave it out.
ask-answer-what-for = what it is for: rings or a finding
ask-answer-this-has-nothing-do-with = This has nothing to do with { $what }: leave it out.
ask-answer-what-you-want-know = what you want to know
ask-answer-piece-cut-length = a piece cut to a length
ask-answer-what-name-rings-or-finding = “{ $words }” of what? Name rings or a finding.
ask-answer-pieces-or-metal-fineness-name = { $n } pieces, or metal of fineness { $n }? Name the metal, for example sterling.
ask-answer-no-metal-given-using-copper = No metal given: using { $temper } copper. Others spring back and weigh differently.
ask-answer-for-example-copper-or-sterling = { $MISSING_METAL }, for example copper or sterling
ask-answer-size-wire-for-example-18 = the size of the wire, for example 18 awg or 1 mm wire
ask-answer-no-temper-given-wire-sold = No temper given. Wire sold without one is nearly always soft.
ask-answer-weighs-g-not-g = { $text } of { $name } weighs { $weighs } g, not { $mass } g.
ask-answer-weighs-g = { $text } of { $name } weighs { $wire } g.
ask-answer-g-long = { $mass } g of { $name } is { $length } long.
ask-answer-one-weighs-g = { $name }: { $size_mm }. One { $long } weighs { $weighs } g.
ask-answer-size-wire-for-example-copper = { $MISSING_METAL } and the size of the wire, for example copper 18 awg
ask-answer-what-you-need-for-example = what you need, for example 120 rings 5 mm inside copper 18 soft

## ask-chain

ask-chain-length-decides-how-many-rings = The length decides how many rings: the { $rings_n } are not used.
ask-chain-no-length-given-using-20 = No length given: using 20 cm.
ask-chain-rings-about-times-their-wire = { $name }: rings about { $usual } to { $usual2 } times their wire inside. Less than { $smallest } times is not possible.
ask-chain-hard-close = { " " }and hard to close
ask-chain-rings-them-pre-closed-for = { $rings_n } rings, { $shut_before_n } of them pre-closed, for { $finished_length_mm } of { $chain }; ratio { $aspect_ratio }, { $suits }{ $value }.
ask-chain-rings = rings { $words }
ask-chain-chain-made-rings-say-their = A chain is made of rings: say their wire and size, for example 6 mm rings of 17 ga copper.

## ask-finding

ask-finding-wound-as-coil-cut = { $plural } are wound as a coil and cut.
ask-finding-compares-wires-for = Compares wires for { $plural }.
ask-finding-what-cost-from-your-prices = What { $request } of { $plural } cost, from your prices.
ask-finding-wanted = { " " }{ $n } wanted.
ask-finding-from = { $name }: { $makes } of { $blank } from { $there }.{ $wanted }
ask-finding-wire-for-cut-each-at = { $n } of wire for { $n2 } { $value }: cut each at { $blank }.
ask-finding-rolled-from-end = rolled from the end
ask-finding-mark-at = mark at { $marks }
ask-finding-cut-at-wire = { $name }: cut { $n } at { $blank }, { $value }; { $n2 } of wire.
ask-finding-not-leave-that-word-out = { $plural } are not { $tumbled ->
    [true] tumbled
   *[other] joined
}: leave that word out.
ask-finding-no-metal-given-using-as = No metal given: using { $metal }, as usual for it.
ask-finding-no-wire-size-given-using = No wire size given: using { $size }, as usual for it.
ask-finding-no-temper-given-using-as = No temper given: using { $temper }, as usual for it.
ask-finding-pieces-too-many-plan-at = { $count } pieces are too many to plan at once. Enter at most { $MOST_PIECES }.
ask-finding-one = one
ask-finding-one-pair = one pair
ask-finding-single = Read as { $n } single pieces, not pairs.
ask-finding-no-count-given-using = No count given: using { $one }.
ask-finding-slip-over-nothing-leave-that = { $plural } slip over nothing: leave that size out.
ask-finding-not-hammered = { $plural } are not hammered.

## fits

fits-read-as = Read as “{ $name }”.
fits-no-metal-given-using-copper = No metal given: using copper. What fits through what depends on sizes only.
fits-please-also-give = Please also give { $missing }.
fits-this-names-no-ring-no = This names no ring and no finding. Write it as 6 mm ring of 18 ga copper.
fits-neither-two-has-opening-other = Neither of the two has an opening the other could go into.
fits-fits = Fits
fits-doesnt-fit = Doesn't fit

## ask-line

ask-line-read-as = “{ $word }” is read as { $meant }.

## ask-makes

ask-makes-of = { $n } of “{ $name }”
ask-makes-how-much-wire-there-for = how much wire there is, for example 2 m or 50 g
ask-makes-of-2 = { " " }of { $wire }
ask-makes-not-enough-for-one-piece = { $there }{ $of } is not enough for one piece.
ask-makes-makes = { $there }{ $of } makes { $best }.
ask-makes-no-wire-given-each-piece = No wire given: each piece is calculated in its usual wire.
ask-makes-nothing-left = { $n }, nothing left
ask-makes-left = { $n }, { $left_mm } left

## mine

mine-names-no-wire-write-its = “{ $words }” names no wire. Write its metal and size, for example copper 20 ga.
mine-no-in-stock = No { $words } in stock.
mine-of = { $left_mm } of { $wire } ({ $name })
mine-more = ; and { $n } more
mine-in-stock = { $left_mm } in stock: { $named }{ $more }.
mine-which-there-none-in-stock = { $needed } of { $shown }, with nothing in stock
mine-in-stock-on = { $needed } of { $shown }; { $left } in stock, on { $n }
mine-need = { $enough ->
    [true] Yes
   *[other] No
}: { $what } need { $told }.

## number

number-wind-on = wind on
number-from-your-wire = from your wire
number-aspect-ratio = aspect ratio
number-off-the-spool = off the spool
number-wind-one-coil = one coil, on the { $mandrel }
number-wind-coils = in each of { $n } coils, on the { $mandrel }
number-cut-one = cut it
number-cut-each = cut { $n }, each
number-to-make = to make
number-name = { $name }, { $metal } { $size }
number-rings = Rings { $inside } inside
number-chain = { $weave } { $length }

## ask-place

ask-place-gauge-or-grams-write-ga = Gauge { $n }, or { $n } grams? Write “{ $n } ga” or “{ $n } grams”.
ask-place-what-put-its-word-before = “{ $words }” of what? Put its word before it: { $labels }, wire.
ask-place-what-write-rings-ga-or = { $words } of what? Write “{ $words } rings”, “{ $words } ga” or “{ $words } mm inside”.
ask-place-what-line-already-has-its = { $mm } of what? The line already has its wire and its inside: leave this out.
ask-place-what-write-wire-or-inside = { $mm } of what? Write “{ $words } wire” or “{ $words } inside”.
ask-place-wire = { $text }: wire { $text2 }
ask-place-read-as-inches-no-wire = { $text } is read as inches: no wire is { $text } mm.
ask-place-ring-inside = ring inside { $plainly }
ask-place-read-as-inside-ring = { $unit } is read as the inside of the ring.
ask-place-read-as = { $unit } is read as: { $label }.
ask-place-whole-piece = { $text }: the whole piece
ask-place-read-as-size-piece-write = { $size } is read as the size of the piece. Write “from { $text }” for wire you have.
ask-place-wire-you-have = { $text }: wire you have
ask-place-read-as-how-many = “{ $text }” is read as { $counted }.
ask-place-no-unit-read-in = { $text } has no unit: read in { $unit }.
ask-place-read-as-grams = { $text } is read as { $value } grams.

## ask-rings

ask-rings-inside-ring-for-example-5 = the inside of the ring, for example 5 mm inside, or the rod
ask-rings-no-count-given-using-rings = No count given: using { $rings_n } rings.
ask-rings-goes-over = { $ring_mm } inside goes over { $over_mm }, with { $play_mm } to spare.
ask-rings-does-not-go-over = { $ring_mm } inside does not go over { $over_mm }.
ask-rings-play-so-that-slips-over = { $play_mm } of play, so that it slips over.
ask-rings-rings-tumbled-at-bench-leave = Rings are tumbled at the bench: leave “tumbled” out, and choose it when you start the batch.
ask-rings-that-ratio-needs-wire = That ratio needs wire of { $size_mm }.
ask-rings-shown-in-start-with = Shown in { $metal } of { $wire } to start with.
ask-rings-no-wire-given-using-thicker = No wire given: using { $metal } of { $wire }. Thicker or harder wire springs back more or less.
ask-rings-rest-line-gives-leave-one = The rest of the line gives { $gives }. Leave one of them out.
ask-rings-ring-inside = a ring { $gives } inside
ask-rings-ring-short-way = a ring { $short } the short way
ask-rings-ring-outside = a ring { $outside } outside
ask-rings-ratio = a ratio of { $aspect_ratio }
ask-rings-on-your = Wound on your { $shown }.
ask-rings-ideal-rod-yours-closest = The ideal rod is { $ideal }. Of yours, the { $shown } is closest: { $off }.
ask-rings-drill-bit = drill bit
ask-rings-no-rods-listed-under-tools = No rods listed under Tools: using the { $shown }, the nearest size sold.
ask-rings-no-oval-rods-listed-under = No oval rods listed under Tools: using one of { $size }.
ask-rings-closest-with-your-rods-not = Closest with your rods: { $gives }, not { $mm }.{ " " }
ask-rings-inside-g-on = { $rings_n } of { $ring_inside_diameter_mm } inside: { $plan } ({ $wire_mass_g } g), on the { $mandrel }.
ask-rings-compares-wires-for-these-rings = Compares wires for these rings.
ask-rings-what-cost-from-your-prices = What { $rings_n } cost, from your prices.
ask-rings-wind-on-rings-inside = Wind on the { $mandrel }: rings { $ring_inside_diameter_mm } inside.
ask-rings-for = { $plan } for { $rings_n }.
ask-rings-aspect-ratio-inside-over-wire = Aspect ratio { $aspect_ratio }: { $ring_inside_diameter_mm } inside over { $wire } of wire.
ask-rings-wire-g-for = { $all_mm } of wire ({ $wire_mass_g } g) for { $rings_n }: { $plan }.

## ask-said

ask-parsed-mm = { $mm } mm = { $mm2 }
ask-parsed-line-already-says-for-keep = The line already says “{ $other }” for the { $noun }. Keep one of them.
ask-parsed-pulled-straight = pulled straight { $n }
ask-parsed-hammered = hammered to { $mm }
ask-parsed-slip-over = to slip over { $mm }
ask-parsed-blade = { $blade } blade
ask-parsed-on = on the { $rod }
ask-parsed-ounce-read-as-28-35 = An ounce is read as 28.35 g. Write ozt for the troy ounce of precious metals, 31.1 g.
ask-parsed-inside-times-wire = inside { $ratio } times the wire
ask-parsed-rod-number-read-as = “{ $text }” is read as { $size } across. For a numbered one write “number 30” or “US 8”.
ask-parsed-mirrored = mirrored
ask-parsed-read-as = { $note } Read as { $metal }.
ask-parsed-oval-by-or-write-oval = An oval of { $mm } by { $mm2 }, or { $n } of { $mm2 }? Write “oval { $text }” or “{ $n } rings”.
ask-parsed-inside = inside { $long } × { $short }
ask-parsed-wire-size = wire size
ask-parsed-length-wire = length of wire
ask-parsed-1-ring = 1 ring
ask-parsed-rings = { $n } rings
ask-parsed-1-pair = 1 pair
ask-parsed-pairs = { $n } pairs
ask-parsed-make = { $n } to make

## ask-token

ask-token-did-you-mean = { " " }Did you mean “{ $known }”?
ask-token-not-word-this-line-knows = “{ $word }” is not a word this line knows.{ $did }

## ask-tools

ask-tools-jaw-mark-from-tip = jaw mark { $mm } from the tip
ask-tools-cut-flush-flush = cut { $mm }, flush to flush
ask-tools-on = on the { $name }
ask-tools-pliers = { " " }pliers

## trouble

trouble-make-one-like-again-measure = Make one like it again: measure what is left, or take it from its bag.
trouble-find-likely-cause-what-change = Find the likely cause, and what to change.

## ask-wire-for

ask-wire-for-compares = Compares wires: { $wanted }.

## page

page-tools = Tools: your rods, pliers and blades, as they measure.
page-orders = Orders: what is to be delivered, and when.
page-schedule = Schedule: what to make when, and what will be late.
page-finished-stock = Finished stock: the bags of pieces you have made.
page-stock = Wire stock: your spools, what is left on each, and what runs short.
page-cutting-plan = Cutting plan: which piece to cut from which spool or offcut.
page-choose-wire = Choose wire: metals, tempers and sizes compared for a piece or a use.
page-bench = Bench: your batches, step by step.
page-measurements = Measurements: pieces compared with their plan.
page-springback = Springback: how your wire springs, from coils you measure or from a pull test.
page-practice = Practice: exercises you measure.
page-consistency = Consistency: how much your own pieces differ.
page-jaws = Jaw marks: what loop each place on your pliers makes.
page-findings = Findings: all kinds, with a picture of each.
page-saved = Saved: your rings, findings and chains.
page-reference = Reference: gauges, metals, and how each hardens.
page-help = Help: each page in short, and the keys.
page-settings = Settings, at the top right: units, backup and restore, passphrase.

## view

view = view
view-rings = rings
view-room = findings plan
view-chain = chain
view-which-wire = Choose wire
view-cost = Cost
view-fix = Fix a problem
view-match = Match a lost piece
view-tools = Tools
view-orders = Orders
view-schedule = Schedule
view-finished-stock = Finished stock
view-stock = Wire stock
view-cutting-plan = Cutting plan
view-bench = Bench
view-measurements = Measurements
view-springback = Springback
view-practice = Practice
view-consistency = Consistency
view-jaws = Jaw marks
view-findings = Findings
view-saved = Saved
view-reference = Reference
view-help = Help

## vague

vague-which-clasp = Which clasp?
vague-loop-of-what = A loop of what?
vague-which-weave = Which weave?
vague-which-pin = Which pin?
vague-which-link = Which link?
vague-which-cap = Which cap?
vague-hammered-how-thin = Hammered how thin? Write the thickness after it.
vague-which-part = Which part of it?
vague-how-thick = How thick is it? Measure it with the caliper and write its size before it.

## ask-noun

ask-noun-aspect-ratio = aspect ratio
ask-noun-blade = blade
ask-noun-count = count
ask-noun-cutting = cutting
ask-noun-finding = finding
ask-noun-inside = inside
ask-noun-metal = metal
ask-noun-outside = outside
ask-noun-rod = rod
ask-noun-section = section
ask-noun-size-it-goes-over = size it goes over
ask-noun-surface = surface
ask-noun-temper = temper
ask-noun-weight = weight
ask-noun-winding = winding
