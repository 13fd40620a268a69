## backwards

backwards-at-at-least-usually = { $name }: { $suits } at { $ratio }; { $smallest_ratio } at least, usually { $usual } to { $usual2 }.
backwards-not-possible-at-needs-at = { $name }: not possible at { $ratio }; it needs at least { $smallest_ratio }.
backwards-at-its-best-around-in = { $name } is at its best around { $best_ratio }: in { $wire } wire, rings { $best_inside_mm } inside.
backwards-ratio-rings-g = ratio { $ratio }, { $suits }; { $rings_n } rings, { $finished_length_mm }, { $mass_g } g
backwards-ratio-not-possible-needs = ratio { $ratio }, not possible: { $name } needs { $smallest_ratio }
backwards-ratio = ratio { $ratio }, { $suits }
backwards-across-wire-on-ratio-rings = { $across } across: { $wire } wire on the { $shown }, ratio { $ratio }, { $rings_n } rings, { $mass_g } g
backwards-inside-diameter = inside diameter
backwards-wire = wire
backwards-number-rings = number of rings
backwards-over = , { $left_n } over
backwards-from-rings = { $name }: { $length_mm } from { $cells_n } rings{ $value }, { $suits }

## chain-change

chain-change-all-its-rings-same = All its rings are the same.
chain-change-chain-has-no-dimension-drag = A chain has no dimension to drag on its drawing. Type it.
chain-change-not-number-enter-one-up = { $text } is not a number of { $noun }. Enter one up to { $most }.
chain-change-cells-across = cells across
chain-change-spare-rings = spare rings
chain-change-not-between-0-50-type = { $text } is not between 0 and 50 %. Type it as 3 %.
chain-change-no-clasp = no clasp
chain-change-choose-whether-second-part-has = Choose whether the second part has rings of its own.
chain-change-no-ease = no ease
chain-change-all-rings-same = all rings the same
chain-change-of = of { $metal }
chain-change-worked-out-when-you-choose = worked out when you choose it
chain-change-not-possible-needs = not possible: { $ratio }, and it needs { $smallest_ratio }
chain-change-ratio-rings = ratio { $ratio }, { $suits }; { $rings_n } rings, { $finished_length_mm }

## chain-figures

chain-figures-rings-as-tori-that-touch = Rings as tori that touch: the longest repeat at which nothing overlaps and exactly the listed pairs are linked, found by sequential linear programs from several starts.
chain-figures-counting = Counting.
chain-figures-plastic-hinge-opposite-gap-rings = Plastic hinge opposite the gap. Rings side by side share the load.
chain-figures-rings-in = rings in it
chain-figures-pre-closed-open = { $shut_before_n } pre-closed, { $open_n } open; { $cells_n }
chain-figures-rings-in-chain-itself-whole = Rings in the chain itself: whole repeats, as near to the length as possible.
chain-figures-repeats-rings-in-repeat = repeats × rings in a repeat
chain-figures-no-two-linked-rings-both = No two linked rings are both pre-closed.
chain-figures-exact-within-half-repeat-length = Exact, within half a repeat of length.
chain-figures-rings-make = rings to make
chain-figures-scrap-spare = { $scrap_share } % scrap, { $spares_n } spare
chain-figures-includes-usual-scrap-from-opening = Includes the usual scrap from opening and closing, and a few spares for repairs.
chain-figures-rings-chains-1-scrap-spares = rings × chains × (1 + scrap) + spares
chain-figures-set-in-your-workshop-settings = Set in your workshop settings.
chain-figures-habit-not-law = A habit, not a law.
chain-figures-than-asked-whole-rows-only = { $spread }; { $off } { $longer ->
    [true] longer
   *[other] shorter
} than asked: whole rows only
chain-figures-finished-length = finished length
chain-figures-pulled-taut-with-clasp-if = Pulled taut, with the clasp if there is one. Lying loose it is shorter.
chain-figures-repeats-length-one-clasp = repeats × length of one + clasp
chain-figures-rings-round-equal-clasp-pulled = Rings round and equal. The clasp pulled straight.
chain-figures-mm-one-standard-deviation-what = ± { $chain_length_spread_mm } mm, one standard deviation: what all rings of a coil share (metal, wire, kerf). Differences from ring to ring even out over { $rings_n } rings.
chain-figures-aspect-ratio = aspect ratio
chain-figures-at-least = { $suits }; { $smallest_ratio } at least
chain-figures-aspect-ratio-your-finished-rings = The aspect ratio of your finished rings, after springback, kerf and closing. Usual is about { $usual_ratio } to { $usual_ratio2 }.
chain-figures-id-d = ID / d
chain-figures-usual-range-our-own-judgement = The usual range is our own judgement. The smallest is calculated.
chain-figures-smallest-ratio-found-upper-limit = The smallest ratio found is an upper limit: another arrangement could go a little lower.
chain-figures-one-repeat = one repeat
chain-figures-from-one-repeat-next-pulled = From one repeat to the next, pulled taut.
chain-figures-longest-shift-without-overlap = longest shift without overlap
chain-figures-mm-found-for-rings-mm = { $repeat_mm } mm, found for rings { $ring_inside_mm } mm inside
chain-figures-pulled-taut-no-friction = Pulled taut, no friction.
chain-figures-0-5-repeat-plus-rings = 0.5 % of the repeat, plus the ring's own ±.
chain-figures-width = width
chain-figures-how-wide-chain-pulled-taut = How wide the chain is, pulled taut.
chain-figures-outermost-wire-outermost-wire = outermost wire to outermost wire
chain-figures-mm = { $wide } and { $deep } mm
chain-figures-pulled-taut = Pulled taut.
chain-figures-as-ring = As the ring.
chain-figures-wire-off-spool = wire off the spool
chain-figures-g-in-all = { $off_the_spool_g } g in all; { $coils_n }
chain-figures-for-all-rings-with-kerf = For all rings, with kerf, tails and uneven ends, as in the ring plan.
chain-figures-ring-plan = ring plan
chain-figures-rings-mm = { $rings_to_make_n } rings: { $off_the_spool_mm } mm
chain-figures-from-ring-plan = From the ring plan.
chain-figures-one-chain-weighs = one chain weighs
chain-figures-wire-in = { $wire_length_mm } of wire in it
chain-figures-its-rings-without-clasp = Its rings, without the clasp.
chain-figures-rings-wire-in-ring-mass = rings × wire in a ring × mass of a length
chain-figures-mm-wire-g = { $wire_length_mm } mm of wire: { $mass_g } g
chain-figures-bending-does-not-change-volume = Bending does not change the volume of the wire.
chain-figures-2-twice-that-wires-size = ± 2 %, twice that of the wire's size.
chain-figures-at-bench = at the bench
chain-figures-for-rings-included = for { $chains_n }, rings included
chain-figures-winding-cutting-closing-opening-weaving = Winding, cutting, closing, opening and weaving.
chain-figures-sum-over-steps = sum over the steps
chain-figures-min = { $minutes } min
chain-figures-practised-hand-until-your-own = A practised hand, until your own times are known.
chain-figures-people-differ-by-half-as = People differ by half as much again.
chain-figures-starts-open-at-about = starts to open at about
chain-figures-pull-at-which-gap-first = Pull at which a gap first stays open a little. Unsoldered rings give way by opening.
chain-figures-strands-times-one-ring = strands · what one ring starts to open at
chain-figures-clasps-own = what its clasp starts to open at
chain-figures-rings-side-by-side-share = Rings side by side share the load evenly; in a kinked chain they don't.
chain-figures-40-estimate-not-rating = ± 40 %. An estimate, not a rating.

## measured

measured-length-chain = length of the chain
measured-number-cells-across = number of cells across
measured-inside-diameter = inside diameter
measured-wire = wire
measured-rings-with-aspect-ratio-dont = Rings with an aspect ratio of { $ratio } don't fit into each other in { $name }: it needs at least { $smallest_ratio }.
measured-rings-them-pre-closed-ratio = { $rings_n } rings, { $shut_before_n } of them pre-closed; ratio { $ratio }, { $suits }.

## chain

chain-length-chain = length of the chain
chain-ease = ease
chain-number-cells-across = number of cells across
chain-number-chains = number of chains
chain-number-spare-rings = number of spare rings
chain-scrap-share = scrap share
chain-chains-calculated-for-round-wire = Chains are calculated for round wire only. Choose round wire for the rings.
chain-chains-calculated-for-round-rings = Chains are calculated for round rings only. Choose a round rod.
chain-chains-calculated-for-plain-rings = Chains are calculated for plain rings only. Choose “not hammered”.
chain-all-rings-do-same-job = All rings of { $name } do the same job, so there is no second size or wire. Leave out the second ring.
chain-there-no-weave-weaves = There is no weave “{ $word }”.{ $word2 } The weaves are: { $known }.

## placing

placing-shorter-than-one-repeat-weave = It is shorter than one repeat of the weave.
placing-row = { $letter } of row { $cell }
placing-fold-back-over-their-row = Fold { $all } back over { $over } of their row, one to each side. Spread { $over } so that the folded rings show between them.{ " " }
placing-take-open-ring = Take an open ring, { $named }.{ " " }
placing-put-on-open-ring = Put { $shut } ({ $shut2 }) on an open ring, { $named }.{ " " }
placing-close-hang-loop-scrap-wire = Close it. Hang a loop of scrap wire in it to mark the start.
placing-close-lay-beside-others-its = Close it, and lay it beside the others of its row.
placing-pass-through-close = Pass it through { $there }. Close it.
placing-both-from-same-side = { " " }Enter both from the same side, the side you used for the ring before.
placing-one-from-each-side = { " " }Enter one from the front and the other from the back.
placing-open-this-ring-only-sideways = Open this ring only, sideways, to a gap of about { $gap }, and pass it again. Everything you added since stays on.
placing-nothing-hangs-on-yet-take = Nothing hangs on it yet: take it off and start it again. { $open_up }
placing-if-missed-comes-away-when = If it missed { $only }, { $ring } comes away when you pull. { $open_up }
placing-one-link-short-if-missed = One link short: if { $ring } missed { $last }, then { $last } swings free, the row leans to the other side, and the next row isn't level. { $open_up }

## chain-plan

chain-plan-that-leaves-for-rings-one = That leaves { $length_mm } for the rings, and one repeat of { $name } is { $repeat } long. Enter at least that.
chain-plan-that-needs-rings-one-plan = That needs { $rings } rings; one plan holds { $MOST_RINGS }. Enter a shorter length.
chain-plan-these-rings-have-aspect-ratio = These rings have an aspect ratio of { $ratio } and don't fit into each other in { $name }: it needs at least { $smallest_ratio }. Use rings { $smallest_ratio2 } inside or more, or thinner wire.
chain-plan-one-ring-carries = one ring carries it
chain-plan-rings-share = { $n } rings share it
chain-plan-clasp-opens-first-at-about = The clasp opens first, at about { $clasp }; the rings ({ $share }) at about { $rings_n }. Estimates, ± 40 %.
chain-plan-rings-open-first-at-about = The rings open first ({ $share }), at about { $rings_n }; the clasp at about { $clasp }. Estimates, ± 40 %.
chain-plan-clasp-does-not-open = ; the clasp does not open
chain-plan-rings-open-first-at-about-estimate = The rings open first ({ $share }), at about { $rings_n }{ $value }. An estimate, ± 40 %.

## pose

pose-ring = ring { $ring } and { $other }

## relaxed

relaxed-ratio-inside-wire = ratio of inside to wire
relaxed-number-starts = number of starts
relaxed-rings-fit-into-each-other = Rings fit into each other from a ratio of { $smallest_ratio }. Drawn at { $ratio }.
relaxed-rings-with-ratio-dont-fit = Rings with a ratio of { $ratio } don't fit into each other: it needs at least { $smallest_ratio }.

## chain-route

chain-route-lay-straight-look-along-every = Lay it straight and look along it. Every row should lie like the one before, with no gap open and no link missing. Hold it up to the light.

## search

search-nothing-found-in-time-allowed = Nothing found in the time allowed. Let it search longer.
search-none-found-under-these-links = None found under these links: { $pair } should go through each other and don't get there. Remove that link, or link others.
search-none-found-under-these-links-get = None found under these links: { $pair } get caught in each other and should not. Link them, or remove what pulls them together.
search-none-found-that-keeps-all = None found that keeps all its folds. Remove a fold, or link other rings.

## chain-sentence

chain-sentence-cm = { $mm } cm
chain-sentence-mm = { $mm } mm
chain-sentence-in = { $fraction } in
chain-sentence-in-2 = { $mm } in
chain-sentence-across = { $across_n } across
chain-sentence-round = , round{ " " }
chain-sentence-rings-wound = , rings wound{ " " }
chain-sentence-on = { " " }on the{ " " }
chain-sentence-snipped-once = snipped once
chain-sentence-with = { " " }with a{ " " }
chain-sentence-blade = { $cutting } blade
chain-sentence-second-part = second part
chain-sentence-rings = rings of the { $part }
chain-sentence-no-clasp = no clasp
chain-sentence-with-2 = , with{ " " }
chain-sentence-no-ease = no ease
chain-sentence-ease = { $ease_mm } of ease
chain-sentence-clasp = { $an ->
    [true] an
   *[other] a
} { $name }
chain-sentence-scrap = { $scrap_share } % scrap
chain-sentence-rings-inside = : rings { $inside_mm } inside

## chain-sheet

chain-sheet-from-front = { $name } from the front.
chain-sheet-rings-them-pre-closed = { $rings_n } rings, { $shut_before_n } of them pre-closed

## taut

taut-how-rings-lie-in-still = How the rings lie in { $name } is still being worked out. Look again in a few seconds.
taut-no-arrangement-rings-was-found = No arrangement of the rings was found in the time allowed. Use fewer rings in a repeat, or other links.

## weave

weave-enter-name-for-weave = Enter a name for the weave.
weave-repeat-rings-cannot-be-calculated = A repeat of { $n } rings cannot be calculated. Enter 1 to { $MOST_RINGS } rings.
weave-turn-cell = turn of the cell
weave-there-no-ring-in-repeat = There is no ring { $ring } in a repeat of { $n }. They are counted from 0.
weave-link-over-more-than-repeats = A link over more than { $FARTHEST } repeats cannot be calculated.
weave-chain-has-no-repeats-beside = A chain has no repeats beside it. Choose a sheet instead.
weave-ring-cannot-go-through-itself = Ring { $ring } cannot go through itself. Choose another ring.
weave-through-entered-twice-remove-one = { $ring } through { $through } is entered twice. Remove one of them.
weave-no-ring-goes-through-another = No ring goes through another yet. A chain needs at least one link.
weave-ring-can-only-be-folded = Ring { $ring } can only be folded over two rings that it goes through, and another ring must hold it.
weave-ring-not-linked-anything-that = Ring { $loose } is not linked to anything that ring A is linked to: the chain falls apart in two. Link them.
weave-repeats-not-linked-no-ring = The repeats are not linked: no ring goes through one in the next repeat. Link them.
weave-falls-apart-into-chains-side = It falls apart into { $n } chains side by side. Link each repeat with the very next.
weave-next-repeat = { " " }of the next repeat
weave-repeat-before = { " " }of the repeat before
weave-repeats-on = { " " }{ $n } repeats on
weave-repeats-back = { " " }{ $n } repeats back
weave-one-right = { " " }one to the right
weave-one-left = { " " }one to the left
weave-right = { " " }{ $n } to the right
weave-left = { " " }{ $n } to the left

## weaves

weaves-byzantine = Byzantine
weaves-box = box
weaves-connector = connector
weaves-fold = fold
weaves-ring = ring
weaves-row = row
weaves-first-pair = first pair
weaves-second-pair = second pair
weaves-one-in-one = one in one
weaves-plainest-each-ring-hangs-in = The plainest: each ring hangs in the one before. One ring carries the whole load at each point.
weaves-two-in-two = two in two
weaves-pairs-through-pairs-looks-light = Pairs through pairs. It looks light, weighs more, and survives one ring opening.
weaves-three-in-three = three in three
weaves-threes-through-threes-sturdy-for = Threes through threes: sturdy, for large rings.
weaves-pairs-folded-back-over-pairs = Pairs folded back over pairs: square, dense, stiff near its smallest ratio.
weaves-folded-pairs-joined-by-connecting = Folded pairs joined by a connecting pair: supple, and it shows both faces of its rings.
weaves-half-persian-three-in-one = half Persian, three in one
weaves-back-row = back row
weaves-front-row = front row
weaves-two-rows-slanting-rings-flat = Two rows of slanting rings, flat on one side. It lies flat and curves one way.
weaves-half-persian-four-in-one = half Persian, four in one
weaves-as-three-in-one-but = As three in one, but closer: each ring goes through four.
weaves-full-persian-six-in-one = full Persian, six in one
weaves-back-rows = back rows
weaves-front-rows = front rows
weaves-four-rows-that-slant-against = Four rows that slant against each other: square in section, the same on both sides.
weaves-four-in-one-sheet = four-in-one sheet
weaves-next-row = next row
weaves-rows-that-lean-in-turn = Rows that lean in turn, each ring through four: a fabric that stretches across its length.
weaves-six-in-one-sheet = six-in-one sheet
weaves-as-four-in-one-but = As four in one, but denser: each ring goes through three in each row beside it.
weaves-three-strand-twist = three-strand twist
weaves-four-in-one-spiral = four in one spiral
weaves-each-ring-through-next-two-either-side = Each ring through the next two, from one side and from the other in turn: three rows that twist gently
weaves-each-ring-through-next-two-same-side = Each ring through the next two, always from the same side: round, and it twists like a rope.

## ring-role

ring-role = role of a ring
ring-role-there = there
ring-role-through = goes through
ring-role-taken-up = taken up
ring-role-new = the new ring

## geometry-view

geometry-view = view of a chain
geometry-view-front = front
geometry-view-side = side
geometry-view-along = along

## chain-slot

chain-slot = word of the sentence
chain-slot-chains = how many
chain-slot-length = length
chain-slot-weave = weave
chain-slot-across = cells across
chain-slot-temper = temper
chain-slot-metal = metal
chain-slot-size = wire size
chain-slot-lot = lot
chain-slot-winding = winding
chain-slot-mandrel = rod
chain-slot-cutting = cutting
chain-slot-blade = blade
chain-slot-second = rings of the second part
chain-slot-second-metal = metal of the second part
chain-slot-second-size = wire size of the second part
chain-slot-second-mandrel = rod of the second part
chain-slot-clasp = clasp
chain-slot-ease = ease
chain-slot-spares = spare rings
chain-slot-scrap = scrap share

## suits

suits = how a ratio suits
suits-cannot = not possible
suits-stiff = stiff
suits-usual = usual
suits-loose = loose
suits-floppy = floppy
