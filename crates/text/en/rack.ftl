## choose

choose-load-hold = load to hold
choose-no-load-given-for-they = No load is given for { $name }: they don't open the way a ring or a hook does.
choose-wires-too-many-compare-choose = { $wires } wires are too many to compare. Choose 1 to { $MOST_COMPARED }.

## choose-wish

choose-hole = hole
choose-hole-told = { $passes ->
    [true] Goes through a hole of { $hole }.
   *[other] Too thick for a hole of { $hole }.
}
choose-wish-silver-look = { $well ->
    [true] Looks like silver.
   *[other] Does not look like silver.
}
choose-wish-price = { $well ->
    [true] Costs little.
   *[other] Costs much more than copper.
}
choose-wish-no-tarnish = { $well ->
    [true] Does not tarnish.
   *[other] { $slowly ->
        [true] Tarnishes slowly.
       *[other] Tarnishes.
    }
}
choose-wish-keeps-shape = { $well ->
    [true] Springy: keeps its shape.
   *[other] Bends out of shape sooner than spring wire.
}

choose-wish-springs = { $well ->
    [true] Springs back from far.
   *[other] Does not spring back from far enough.
}

## choose-weigh

choose-weigh-contains-nickel-not-against-skin = Contains nickel: not against skin, not in an ear.
choose-weigh-irritates-sensitive-skin = Contains nickel or copper that sensitive ears and skin may not bear.
choose-weigh-sensitive-may-not-bear-it = Sensitive ears and skin may not bear it: try it first.
choose-weigh-sold-for-piercings = In a fresh piercing only wire sold for piercings. Ask the wearer what they bear.
choose-weigh-seldom-sold = Seldom sold { $temper }: ask for it.
choose-weigh-rusts-against-skin = Rusts against skin.
choose-weigh-does-not-fuse-itself-ways = Does not fuse to itself. Ways to join it: { $metal }.
choose-weigh-not-soldered-at-bench-ways = Not soldered at the bench. Ways to join it: { $metal }.
choose-weigh-usual-patinas-dont-darken = The usual patinas don't darken it.
choose-weigh-will-probably-crack-at-its = Will probably crack at its tightest bend. { $wire } (Estimate.)
choose-weigh-many-wear-in-ear-others = Many wear it in the ear; others use it only for practice.
choose-weigh-cut = { $cut }, { $g } g
choose-weigh-in-stock = { $left_mm } in stock
choose-weigh-stains-skin = Stains skin.
choose-weigh-its-outer-layer-thin-polish = Its outer layer is thin: polish and solder gently.
choose-weigh-easy-on-hands = Easy on the hands
choose-weigh-moderate-work-for-hands = Moderate work for the hands
choose-weigh-heavy-on-hands = Heavy on the hands
choose-weigh-times-soft-20-awg-copper = { $hands }: { $effort } times soft 20 AWG copper.
choose-weigh-watch-for-cracks = watch for cracks
choose-weigh-bends-well = bends well
choose-weigh-its-tightest-bend-uses-stretch = Its tightest bend uses { $strain_used } % of the stretch it has left: { $bends }.
choose-weigh-springs-back-when-let-go = Springs back { $springback_ratio } % when let go.
choose-weigh-as-thick-as-drawn = As thick as drawn.
choose-weigh-than-drawn = { $ratio } % { $thicker ->
    [true] thicker
   *[other] thinner
} than drawn.
choose-weigh-seldom-used-for-this = { $metal } is seldom used for this.
choose-weigh-wire-costs-piece-more-than = The wire costs { $cost } a piece, more than the { $most } you allow.
choose-weigh-wire-costs-piece = The wire costs { $cost } a piece, within the { $most } you allow.
choose-weigh-joined-pulls-out-shape-at = Joined: pulls out of shape at about { $now }.
choose-weigh-not-strong-enough-joined-but = Not strong enough: joined, but pulls out of shape at about { $now }.
choose-weigh-opens-at-about-as-made = Opens at about { $holds_n } as made, { $holds_hardened_n } after tumbling
choose-weigh-strong-enough-for-you-need = Strong enough for the { $asked } you need. { $holds }.
choose-weigh-strong-enough-for-you-need-only = Strong enough for the { $asked } you need only once hardened. { $holds }.
choose-weigh-not-strong-enough-for-you = Not strong enough for the { $asked } you need. { $holds }.
choose-weigh-opens-at-as-made-after = { " " }opens at { $holds_n } as made and { $holds_hardened_n } after tumbling,
choose-weigh-effort-springs-back = effort { $effort },{ $load } springs back { $springs } %
choose-weigh-start-soft-or-half-hard = Start soft or half-hard?
choose-weigh-dead-soft-hardened-afterwards = Dead soft, hardened afterwards: { $soft }.
choose-weigh-half-hard-used-as = Half-hard, used as it is: { $half }.
choose-weigh-opens-at-effort = { $wire }: opens at { $holds_n }, effort { $effort }
choose-weigh-how-thick-in-ear = How thick in the ear?
choose-weigh-thicker-for-large-heavy-earrings = Thicker for large and heavy earrings, { $thick }.
choose-weigh-thinner-for-small-ears-size = Thinner for small ears, { $thin }. The size between is ideal and hard to buy.
choose-weigh-fits-usual-piercings = { $size } fits usual piercings, { $take }.
choose-weigh-does-not-fit-usual-piercings = { $size } does not fit usual piercings, { $take }.
choose-weigh-too-soft-hold-tires-when = Too soft to hold, and it tires when bent to and fro.
choose-weigh-stays-soft-unless-worked-hard = Stays soft unless it is worked hard.
choose-weigh-soft-must-be-hardened-afterwards = Soft: it must be hardened afterwards, or it opens.
choose-weigh-wire-resists-bending-shows-tool = { $temper } wire resists bending and shows tool marks. Hardly anything here needs it.

## rack-cost

rack-cost-lot = the lot
rack-cost-lots = the { $n } lots
rack-cost-price-from-this-wire-in = Price from { $lots } of this wire in stock.
rack-cost-no-lot-this-wire-has = No lot of this wire has a price. Calculated from the price of a gram of its metal.
rack-cost-neither-this-wire-nor-its = Neither this wire nor its metal has a price yet. Enter one.
rack-cost-wire-for-piece = wire for a piece
rack-cost-share-that-lost = share that is lost
rack-cost-hand-time = hand time
rack-cost-not-number-pieces-enter-1 = { $pieces_n } is not a number of pieces. Enter 1 to 1,000,000.
rack-cost-min-h = { $lengths } { $long } × { $wire_price } + { $consumables } + { $minutes } min × { $hour_rate }/h{ $value } = { $each }
rack-cost-one = one
rack-cost-pair = a pair
rack-cost-your-time-not-counted-yet = Your time is not counted yet: enter the minutes.{ " " }
rack-cost-enter-what-costs-buy-see = Enter what { $one } costs to buy, to see whether making it pays.
rack-cost-your-hour-earns-less-than = { " " }Your hour earns { $e }, less than your rate.
rack-cost-bought-for-never-cheaper-make = Bought for { $bought }, { $one } is never cheaper to make at this rate.{ $earns }
rack-cost-making-pays-from-first-piece = Making pays from the first piece.
rack-cost-making-pays-from-pieces = Making pays from { $count } pieces.
rack-cost-your-hour-earns-compared-with = { $from } Your hour earns { $e } compared with buying.

## cut-plan

cut-plan-pieces-stock-too-many-for = { $stock } pieces of stock are too many for one plan. Enter at most { $MOST_STOCK }.
cut-plan-blanks-too-many-for-one = { $blanks } blanks are too many for one piece of stock. Enter at most { $MOST_BLANKS }.
cut-plan-length = length
cut-plan-length-in-stock = length in stock
cut-plan-blank = blank
cut-plan-loss = loss
cut-plan-shortest-useful-length = shortest useful length
cut-plan-pieces-stock-too-many-plan = { $stock } pieces of stock are too many to plan at once. Enter at most { $MOST_STOCK }.
cut-plan-lengths-entered-enter-1 = { $demand } lengths are entered. Enter 1 to { $MOST_DEMANDS }.
cut-plan-blanks-too-many-plan-at = { $blanks } blanks are too many to plan at once. Enter at most { $MOST_BLANKS }.
cut-plan-enter-name-1-80-characters = Enter a name of 1 to 80 characters.
cut-plan-used-twice-give-each-its = “{ $id }” is used twice. Give each its own name.

## picked

picked-planned-for-lot-cut-from = { $id } is planned for lot { $lot_n }. Cut it from that lot, or plan it without one.

## written

written-one = one { $length } ({ $demand })
written-template-more-from = the template { $length } and { $n } more from it ({ $demand })
written-stays-on-spool = stays on the spool
written-left-as-offcut = is left as an offcut
written-scrap = { " " }{ $mm } is scrap.
written-then = , then{ " " }
written-flush-end-cut = Flush the end; cut { $each }.{ $rest }{ $scrap }
written-everything-cut = everything is cut
written-1-short = 1 is short
written-short = { $n } are short
written-no-plan-uses-less = no plan uses less
written-at-most-more-wire-than = at most { $gap } % more wire than the best possible plan
written-two-one-pair-come-from = { " " }The two of one pair come from different lots: keep them apart and match them.
written-pairs-have-their-two-from = { " " }{ $n } pairs have their two from different lots: measure and match those.
written-from-scrap = { $blanks } from { $stock }: { $made }, { $scrap_mm } is scrap; { $near }.{ $pairs }

## listing-vocabulary

listing-vocabulary-plated = Plated: a layer of about 1 % that tools scrape off.
listing-vocabulary-coated = Coated or enamelled: it must not be heated, and cannot be polished or darkened.
listing-vocabulary-galvanised = Galvanised: its zinc gives off poisonous fumes, so it must not be heated.

## listing

listing-only-first-characters-were-read = Only the first { $LONGEST } characters were read.
listing-for-wire-one = { $price } for the wire of one.
listing-line-gives-no-price = The line gives no price.
listing-that = That is { $per }.
listing-line-gives-but-you-use = The line gives { $written }, but you use { $currency }. Enter the price in { $currency }.

## settle

settle-there-two-values-for-using = There are two values for the { $noun }: { $one } and { $other }. Using { $one }.
settle-no-metal-given = No metal given.
settle-flat-wire-only-round-square = { $flat }: a flat wire? Only round, square and half-round wire is known here.
settle-no-size-given = No size given.
settle-there-two-sizes-mm-using = There are two sizes: { $text } and { $other } ({ $other_mm } mm). Using { $text }.
settle-mm-in = { $shown } mm in { $system }
settle-gauge-in-which-system-could = Gauge { $n } in which system? It could be { $sizes }. Using { $own }.
settle-g-read-as-grams-because = “{ $n }g” is read as { $n } grams, because the size is given separately.
settle-g-could-be-gauge-or = “{ $n }g” could be a gauge or grams. It was not used.
settle-no-amount-given = No amount given.
settle-how-long-each-no-length = How long is each of the { $packs }? No length is given.
settle-number-packs = number of packs
settle-precious-metal-nearly-always-sold = Precious metal is nearly always sold in troy ounces (31.1 g). Using those.
settle-there-two-values-for-using-2 = There are two values for the { $noun }: { $text } and { $text2 }. Using { $text }.
settle-comma-in-read-as-decimal = The comma in { $text } is read as a decimal comma.
settle-there-two-prices-using = There are two prices: { $a } and { $b }. Using { $a }.
settle-no-price-given = No price given.
settle-read-as-price-all-together = { $shown } is read as the price of all { $packs } together.
settle-read-as-price-no-currency = { $text } is read as the price. No currency is given.
settle-metal = metal
settle-for-this-much-far-from = { $shown } for this much { $metal } is far from its usual price: check price and amount.
settle-price-read-as-would-be = The price is read as { $thousands }: { $value } would be far too little.
settle-price-read-as-would-be-far = The price is read as { $value }: { $thousands } would be far too much.
settle-price-could-be-or-using = The price could be { $value } or { $thousands }. Using { $value }.
settle-m-this-wire-weigh-g = { $length } m of this wire weigh { $weighs } g, not { $mass } g. Was the spool weighed too, or is the size different?
settle-no-temper-given-wire-sold = No temper given. Wire sold without one is nearly always soft.
settle-no-section-given-nearly-always = No section given. It is nearly always round.
settle-gauge = gauge { $number }

## booking

booking-blank = blank
booking-loss = loss
booking-shortest-useful-length = shortest useful length
booking-not-number-blanks-enter-1 = { $n } is not a number of blanks. Enter 1 to 100,000.
booking-name-what-for = name of what it is for
booking-nothing-cut-from-this-lot = Nothing is cut from this lot. Leave it out.
booking-these-blanks-need-with-their = These blanks need { $blanks } with their trims, and the lot has { $left_mm } left: { $rest } short.
booking-at = { $n } at { $length_mm }: { $what }
booking-flush-cuts-kerf = flush cuts and kerf
booking-too-short-use = too short to use
booking-offcut = offcut of { $name }
booking-from = from { $name }
booking-set-aside-as = set aside as “{ $name }”
booking-set-aside-from = set aside from “{ $name }”
booking-came-in = came in { $day }
booking-first-this-wire = the first of this wire
booking-beside = beside “{ $one }”
booking-beside-more-lots-this-wire = beside “{ $one }” and { $more } more lots of this wire
booking-new-lot = A new lot, “{ $name }”, { $beside }: { $length_mm } of { $wire }.

## buying

buying-shortest-useful-length = shortest useful length
buying-length-keep-in-stock = length to keep in stock
buying-pack = pack
buying-place-bought = place it is bought
buying-buy = { " " }Buy { $n } of { $pack }.
buying-enter-how-sold-see-number = { " " }Enter how it is sold to see the number of packs.
buying-in-stock-needed-keep-short = { $there_mm } in stock, { $wanted_mm } needed, { $keep_mm } to keep: { $missing_mm } short.{ $buy }
buying-in-stock-needed-keep-enough = { $there_mm } in stock, { $wanted_mm } needed, { $keep_mm } to keep: enough.

## stock

stock-length = length
stock-not-possible-amount-enter-0 = { $amount } is not a possible amount. Enter 0 to { $MOST_MONEY }.
stock-share-outer-layer = share of the outer layer
stock-weight-empty-spool = weight of the empty spool
stock-enter-name-1-60-characters = Enter a name of 1 to 60 characters, as on the spool's tag.
stock-lots-name = lot's name
stock-enter-plating-or-coating-once = Enter the plating or coating once, under the lot's surface. Leave it out of the wire.
stock-wire-has-no-outer-layer = { $surface } wire has no outer layer of metal. Leave the share out.
stock-not-date-write-as-2026 = “{ $day }” is not a date. Write it as 2026-11-25.
stock-lot-but-this-choose-spool = Lot { $lot_n } is { $covered_wire }, but this is { $wire }. Choose the spool it was really cut from.
stock-weight = { $wire }, { $surface } ({ $share } % of the weight)
stock-weight-wire = weight of wire
stock-enter-how-much-its-length = Enter how much it is: its length, or its weight without the spool.

## movement

movement-bought-wire-adds-length-enter = Bought wire adds length. Enter it without a minus.
movement-wire-that-was-leaves-stock = Wire that was { $self } leaves stock. Enter a negative length.
movement-wire-that-was-goes-one = Wire that was { $kind } goes one way only. Write { $amount } without a sign.

## scale

scale-scale-not-steady-yet-wait = The scale is not steady yet. Wait, then take the reading again.
scale-scale-overloaded-take-some-weight = The scale is overloaded. Take some weight off.
scale-scales-pan-off-or-lifted = The scale's pan is off or lifted. Put it back and press zero.
scale-scale-reports-fault-gives-no = The scale reports a fault and gives no weight. See its manual.
scale-weight = weight
scale-not-weight-enter-one-such = { $message } is not a weight. Enter one such as 182.31 g.
scale-could-be-or-write-as = { $message } could be { $value } or { $thousands }. Write it as one of these.
scale-below-zero-zero-scale-first = { $message } is below zero. Zero the scale first.
scale-not-unit-weight-use-g = { $word } is not a unit of weight. Use g, kg, mg, oz, ozt, dwt, gr, ct or lb.

## scrap

scrap-can-be-melted-into-balls = can be melted into balls and castings at the bench
scrap-goes-refiner = goes to a refiner
scrap-weight-scrap = weight of scrap

## weighing

weighing-weighed-g = weighed: { $gross_g } g
weighing-what-does-empty-spool-weigh = What does the empty spool weigh? Enter grams, or 0 if the wire was weighed without it.
weighing-g-less-than-empty-spool = { $gross_g } g is less than the empty spool, { $tare } g. Is it the right spool, and is its empty weight right?
weighing-same-as-in-stock-as = the same as in stock, as near as the scale can tell
weighing-than-in-stock = { $differs_mm } { $more ->
    [true] more
   *[other] less
} than in stock
weighing-less-g-for-spool = { " " }less { $tare } g for the spool
weighing-g = { $gross_g } g{ $less } is { $length_mm }, { $off }.
weighing-right-spool-g-right = Is it the right spool, and is { $gross_g } g right?
weighing-that-more-than-this-lot = That is more than this lot ever had, { $most_mm }. { $asked }
weighing-that-less-than-half-what = That is less than half of what should be left, { $left }. { $asked }

## finish

finish = finish
finish-left = left as it is
finish-polished = polished
finish-darkened = darkened

## joined

joined = way of joining
joined-not = not joined
joined-fused = fused
joined-soldered = soldered

## maker

maker = maker
maker-practising = for practice
maker-confident = by a confident hand

## use

use = use
use-ear-wires = everyday ear wires
use-sensitive-ears = ear wires for sensitive ears
use-heavy-clasp = a clasp for a heavy necklace
use-chain-links = chain links
use-fine-beads = beads with a fine hole
use-practice = practice
use-fusing = fused rings
use-memory-coil = a springy bracelet coil

## matters

matters = what matters most
matters-silver-look = a silver look
matters-price = a low price
matters-keeps-shape = that it keeps its shape
matters-easy-to-bend = that it bends easily
matters-no-tarnish = that it does not tarnish

## stock-kind

stock-kind = kind of stock
stock-kind-spool = spool
stock-kind-offcut = offcut
stock-kind-straight = straight length

## movement-kind

movement-kind = kind of movement
movement-kind-bought = bought
movement-kind-cut = cut
movement-kind-trimmed = trimmed
movement-kind-tried = tried
movement-kind-scrapped = scrapped
movement-kind-corrected = corrected

## cleanliness

cleanliness = cleanliness
cleanliness-clean = clean
cleanliness-soldered = soldered
cleanliness-mixed = mixed
cleanliness-dust = dust
