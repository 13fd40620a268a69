## backwards

backwards-short-way-longer-than-long = The short way of { $short } is longer than the long one of { $target }. Swap them.
backwards-ring-has-no-short-way = A { $shape } ring has no short way. Leave it out.
backwards-this-wire-makes-no-ring = This wire makes no ring { $target } inside: on the thinnest rod it can take, { $least }, it gives { $smallest }. Enter at least that, or use thinner wire.
backwards-no-ring-hammered-this-thin = No ring hammered this thin is only { $target } inside. Hammer it less.
backwards-this-springs-straight-before-makes = This { $temper } { $metal } springs straight before it makes a ring { $target } inside. Use softer or thicker wire, or a smaller ring.

## caution

caution-end-wire-whips-round-as = The end of the wire whips round as you wind: wear safety glasses and keep the tail under a thumb or clamp.
caution-turn-vise-slowly-keep-tension = Turn the vise slowly and keep tension until the end is clipped: a loose coil whips. Wear safety glasses.
caution-turning-rod-pulls-in-wire = A turning rod pulls in wire, hair, sleeves and gloves. Use the lowest speed, guide the wire with a wood or leather block, and let go of the switch first. Some wear leather against the wire, but gloves can catch near rotation. Follow the drill maker's instructions.
caution-wear-glasses-apron-under-pin = Wear glasses, apron under the pin, blade waxed. A dowel in the coil keeps it from rocking. Don't squeeze it: a trapped blade snaps and flies. Don't breathe in the dust.
caution-every-snip-throws-sliver-wear = Every snip throws a sliver: wear safety glasses and hold a hand or cloth round the cut. Don't cut thicker wire than the cutter's maker allows.
caution-rings-jump-off-tips-shears = Rings jump off the tips of the shears: wear safety glasses, keep fingers behind the blades, and file the burr.
caution-cut-ends-fly-pinched-ends = Cut ends fly and pinched ends are sharp: wear safety glasses, and file what will touch skin.
caution-will-probably-crack-this-bend = Will probably crack: this bend needs more stretch than the metal has left. { $advice } (Estimate.)
caution-close-cracking-this-bend-uses = Close to cracking: this bend uses most of the stretch the metal has left. { $advice } (Estimate.)
caution-too-hard-wind-by-hand = Too hard to wind by hand: { $hand_effort } times the effort of 20 AWG soft copper. Use thinner or softer wire, or a machine.
caution-this-coil-springs-open-lot = This coil springs open a lot, so small differences in the wire show. Wind a few turns as a trial and measure them.
caution-even-finest-blade-has-only = Even the finest blade has only { $teeth } teeth in wire of { $size_mm }: saw lightly, or use a flush cutter.
caution-square-wire-must-not-twist = Square wire must not twist as you wind it: guide it flat and check each turn's face.
caution-coil-with-corners-turns-little = A coil with corners turns a little as it springs, so its corners no longer line up. Cut along the middle of a flat and press each ring true.
caution-heavy-on-hands-wind-in = Heavy on the hands: wind in short sessions with straight wrists. If pain stays, see a doctor.
caution-contains-nickel-not-against-skin = { $metal } contains nickel: not against skin, not in an ear. Nickel rules differ by country.
caution-hard-wire-under-tension-whips = Hard wire under tension whips when it slips: clamp both ends and shield your face.

## ring-change

ring-change-ring-plan-has-no-dimension = A ring plan has no dimension to drag on its drawing. Type it.
ring-change-not-from-spool-in-stock = not from a spool in stock
ring-change-by-fingers-only = by fingers only
ring-change-pulls = { $n } pulls
ring-change-not-hammered = not hammered
ring-change-wire = { $s } wire
ring-change-flush-cut-twice = flush cut twice
ring-change-snipped-once = snipped once
ring-change-snipped-once-filed = snipped once and filed
ring-change-ring = ring { $ring_inside_diameter_mm }
ring-change-will-probably-crack = : will probably crack
ring-change-opens-at-bending-uses-its = { $ring }, opens at { $opening_force_n }, bending uses { $used } % of its stretch{ $cracks }
ring-change-g-wire-opens-at = { $ring }, { $wire_mass_g } g of wire, opens at { $opening_force_n }
ring-change-15-as-in-handbooks = ± 15 %, as in handbooks
ring-change-wire-ring = { $ring }, { $wire_length_mm } of wire a ring
ring-change-few = , few
ring-change-kerf-teeth-in-wire = kerf { $blade }, { $teeth } teeth in the wire{ $few }: { $ring }
ring-change-long-short = { $ring } long, { $ring_inside_short_mm } short
ring-change-not-number-pulls-enter-0 = { $text } is not a number of pulls. Enter 0 to 60.
ring-change-negative = is negative
ring-change-too-many-for-one-plan = is too many for one plan
ring-change-not-whole-number-rings = is not a whole number of rings
ring-change-enter-whole-number-from-1 = { $text } { $why }. Enter a whole number from 1 to { $most_rings }.
ring-change-choose-steps-add-route-from = Choose steps to add to a route from the list.

## ring-drawn

ring-drawn-coil-long = { $count }, { $long }{ $each ->
    [true] {" "}each
   *[other] {""}
}
ring-drawn-wound-tight-on = wound tight on
ring-drawn-sprung-open-loose-on = sprung open, loose on
ring-drawn-coil-one-ring-cut-from = A coil of { $turns_per_coil_n } { $state } the { $mandrel }, and one ring cut from it, { $ring_inside_diameter_mm } inside and { $ring_outside_diameter_mm } outside.
ring-drawn-turns-left = { $turns } turns left
ring-drawn-after = After { $operation }: { $what }.
ring-drawn-one-ring-inside = One ring, { $ring_inside_diameter_mm } inside.
ring-drawn-as-cut-ends-apart = as cut: ends { $step } apart

## ring-figures

ring-figures-voce-flow-curve-with-typical = Voce flow curve with typical handbook values. Bending of plane sections past yield.
ring-figures-geometry = Geometry.
ring-figures-counting = Counting.
ring-figures-ring-inside = ring inside
ring-figures-inside-long-way = inside, long way
ring-figures-inside-across-flats = inside across flats
ring-figures-metal-15-stiffness-3 = metal ±15 %, stiffness ±3 %
ring-figures-still-unknown-about-lot = still unknown about lot { $lot_n } ±{ $spread } %
ring-figures-mm-in-your-hand-one = ± { $ring_inside_hand_mm } mm in your hand, one standard deviation. Of this, metal and kerf ± { $ring_inside_spread_mm } ({ $metal }, wire size ±1 %, kerf ±0.02 mm). Your hand adds { $sources }, each in mm, added as squares.
ring-figures-outline-perimeter-p-r1-r0 = outline of perimeter P·R1/R0 + 2πc·(R1/R0 − 1) − taken, grown as it is hammered
ring-figures-r0-r1-cut-takes-mm = R0/R1 of { $springback_ratio }, the cut takes { $taken } mm, then { $id } mm across
ring-figures-2-r1-c-taken = 2·(R1 − c) − taken/π
ring-figures-2-r1-c-taken-h = (2·(R1 − c) − taken/π + h)·(h/t)^0.3 − width
ring-figures-saws-kerf-closed = the saw's kerf is closed
ring-figures-cut-flush-cutting-takes-its = it is cut. Flush cutting takes its sliver between rings, not out of them
ring-figures-its-burr-filed-off-closed = its burr is filed off and it is closed
ring-figures-snipped-filed-if-you-file = it is snipped, filed if you file it, and closed
ring-figures-inside-finished-ring-after-coil = Inside of the finished ring, after the coil has sprung open and { $closing }.
ring-figures-ring-closed-flat-true-usual = The ring is closed flat and true. The usual springback is used until you measure the lot.
ring-figures-outside = outside
ring-figures-outside-same-ring-inside-plus = Outside of the same ring: inside plus twice the wire's width in its plane.
ring-figures-id-2-w = ID + 2·w
ring-figures-bending-doesnt-change-width-wire = Bending doesn't change the width of the wire.
ring-figures-as-inside-plus-twice-1 = As the inside, plus twice ±1 % of the wire.
ring-figures-aspect-ratio = aspect ratio
ring-figures-inside-ring-wire-size-decides = Inside of the ring ÷ wire size. It decides which weaves the ring fits.
ring-figures-id-w = ID / w
ring-figures-measured-in-plane-ring = Measured in the plane of the ring.
ring-figures-as-inside-plus-1-wire = As the inside, plus ±1 % of the wire.
ring-figures-ends-offset-sideways = ends offset sideways
ring-figures-cut-ring-one-turn-helix = A cut ring is one turn of a helix: its ends are one turn apart sideways until you close it.
ring-figures-pitch-r1-r0 = pitch · R1/R0
ring-figures-close-wound-each-turn-against = Close-wound, each turn against the last.
ring-figures-1-wire-more-where-turns = ± 1 % of the wire, more where turns were spread.
ring-figures-turns-wind = turns to wind
ring-figures-turns-wind-for-one-coil = Turns to wind for one coil, so that enough are left once it has sprung open. Rounded up to whole turns you can count.
ring-figures-rings-turns-per-ring-uneven = (rings · turns per ring + uneven ends) · R1/R0, rounded up
ring-figures-coil-springs-open-completely = The coil springs open completely.
ring-figures-for-each-coil = for each coil
ring-figures-left-once-sprung-open = left once sprung open
ring-figures-turns-left-in-coil-once = Turns left in a coil once it has sprung open: one per ring, the slivers between them, the uneven ends, and the rounding up.
ring-figures-turns-r0-r1 = turns · R0/R1
ring-figures-half-turn-each-coil-cut = Half a turn of each coil is cut away as uneven, unless you change it.
ring-figures-as-springback = As the springback.
ring-figures-in-each-coil = in each coil
ring-figures-turns-0-48-od-dm = turns · 0.48·a·(OD/Dm + 1)
ring-figures-turns-d = turns · d
ring-figures-turns-w = turns · w
ring-figures-coils = coils
ring-figures-up-each = up to { $rings_per_coil_n } each
ring-figures-coils-wind-on-this-rod = Coils to wind on this rod. More rings than one coil holds need more coils, each with its own tails.
ring-figures-rings-rings-that-fit-one = rings / rings that fit one coil, rounded up
ring-figures-exact = Exact.
ring-figures-coil-on-rod = coil on the rod
ring-figures-length-one-coil-on-rod = Length of one coil on the rod, close-wound. A short rod means more coils, each with its own tails.
ring-figures-1-wire-loose-turns-make = ± 1 % of the wire. Loose turns make it longer.
ring-figures-coil-springs = coil springs to
ring-figures-inside-coil-once-has-sprung = Inside of the coil once it has sprung open. The bend relaxes by the moment that held it, divided by the wire's stiffness.
ring-figures-taken-yield-at-mpa-when = { $metal } is taken to yield at { $flow } MPa when wound (as sold { $temper }), rising towards { $saturated } MPa.
ring-figures-yield-15-until-you-measure = Yield ±15 % until you measure a lot, stiffness ±3 %.
ring-figures-lot = Lot { $lot_n } { $lot }.
ring-figures-wire-pull = wire to pull
ring-figures-everything-that-leaves-spool-turns = Everything that leaves the spool: turns, anchor and finishing tails, rounded up to the metre stick's next mark.
ring-figures-coils-turns-turn-length-tails = coils · (turns · turn length + tails + rounding up)
ring-figures-one-wound-turn-p-2 = One wound turn is √((P + 2πc)² + pitch²) = { $turn_length_mm } mm. Each coil has a { $anchor_mm } mm anchor and a { $finish_mm } mm finish.
ring-figures-about-0-3-cut-little = About ± 0.3 %. Cut a little long if in doubt.
ring-figures-weight = weight
ring-figures-weight-wire-that-leaves-spool = Weight of the wire that leaves the spool.
ring-figures-length-area-density = length · area · density
ring-figures-solid-wire-handbook-density = Solid wire of handbook density.
ring-figures-2-from-1-wire-size = ± 2 %, from ±1 % of the wire size.
ring-figures-handbook-density = Handbook density.
ring-figures-wire-per-ring = wire per ring
ring-figures-wire-used-for-one-ring = Wire used for one ring, with its share of tails and losses.
ring-figures-wire-pull-rings = wire to pull / rings
ring-figures-shared-evenly-over-all-rings = Shared evenly over all rings.
ring-figures-as-wire-pull = As the wire to pull.
ring-figures-ends-up-in-rings = ends up in rings
ring-figures-ends = { $cut_name } { $cutting_wire_mm } %, ends { $ends } %
ring-figures-where-wire-goes = Where the wire goes.
ring-figures-rings-cut-uneven-ends-tails = rings ÷ (rings + cut + uneven ends + tails)
ring-figures-no-ring-scrapped = No ring is scrapped.
ring-figures-adds-up-exactly = Adds up exactly.
ring-figures-pulls-out-shape-at-about = pulls out of shape at about
ring-figures-opens-at-about = opens at about
ring-figures-starts-open-at = starts to open at { $first }
ring-figures-ring-joined-so-doesnt-open = The ring is joined, so it doesn't open. This pull draws it out of shape.
ring-figures-pull-that-opens-closed-unsoldered = Pull that opens a closed, unsoldered ring with its gap at the side. It gives way at a flat.
ring-figures-pull-that-opens-closed-unsoldered-ring = Pull that opens a closed, unsoldered ring with its gap at the side.
ring-figures-f-4-z-arm = F = 4·σ·Z / arm
ring-figures-f-z-arm = F = share · σ·Z / arm
ring-figures-estimate-plastic-collapse-for-ring = An estimate of plastic collapse for the ring as bent, not a rating. The share is what of its full moment it has taken when it stays open by its own thickness. Ends that don't meet open sooner.
ring-figures-40-15-from-metal-rest = ± 40 %: 15 from the metal, the rest from how it is closed and pulled.
ring-figures-bending-uses = bending uses
ring-figures-stretch-outer-fibre-at-hardest = Stretch of the outer fibre at the hardest step ({ $at }), as a share of what the metal can still take before it breaks.
ring-figures-strain-step-max-f-strain = strain of the step / max(εf − strain before, 0.06)
ring-figures-above-60-close-cracking-above = Above 60 % it is close to cracking, above 100 % it will probably crack. An estimate.
ring-figures-breaking-strain-varies-by-third = Breaking strain varies by a third between lots.
ring-figures-true-strain-outer-fibre-handbook = True strain of the outer fibre; handbook reduction of area.
ring-figures-effort-bend = effort to bend
ring-figures-20-awg-soft-copper = 20 AWG soft copper
ring-figures-how-hard-this-wire-on = How hard this wire is on the hand, compared with a wire everyone knows.
ring-figures-z-z-20-awg-soft = σ·Z / (σ·Z of 20 AWG soft copper)
ring-figures-times-its-plastic-moment = { $hand_effort } times its plastic moment
ring-figures-bent-by-hand-at-same = Bent by hand at the same radius.
ring-figures-turns-as-springback = ± { $turns_wound } turns, as the springback.
ring-figures-each-part-outline-by-its = each part of the outline by its own radius; together R0/R1 is { $ratio }
ring-figures-rod-holds-mm-coil = The rod holds { $room } mm of coil.
ring-figures-rod-has-no-length-entered = The rod has no length entered: { $request } mm of coil is used, and by hand 100 turns, as hands can hold.

## ring

ring-tail = tail
ring-uneven-ends = uneven ends
ring-rings-too-many-for-one = { $rings } rings are too many for one plan. Enter at most { $MOST_RINGS }.
ring-0-rings-need-no-wire = 0 rings need no wire. Enter at least 1.
ring-number-pulls = number of pulls

## ring-plan

ring-plan-hammered-this-thin-wire-such = Hammered this thin, the wire of such a small ring spreads until no opening is left. Hammer it to no less than { $thickness }, or wind a larger ring.
ring-plan-cutting-takes-off-each-ring = Cutting takes { $from_ring_mm } off each ring and leaves no opening. It may take at most { $most }.
ring-plan-coil-too-short-for-single = A coil of { $room } is too short for a single ring. This rod must hold at least { $least } of coil.

## ring-route

ring-route-ring = ring
ring-route-lay-one-on-drawing-ends = Lay one on the drawing. The ends should meet without a gap, with no burr, the same size as the first.
ring-route-pull-wire-straight-10-times = pull the wire straight 10 times
ring-route-anneal-wire-before-winding = anneal the wire before winding
ring-route-hammer-each-ring = hammer each ring to { $to }
ring-route-fuse-joint = fuse the joint
ring-route-solder-joint = solder the joint
ring-route-tumble-for-two-hours = tumble for two hours
ring-route-min-unattended = { " " }and { $alone } min unattended
ring-route-ring-min-for-all = ring { $ring }{ $holds }; { $hands } min for all{ $alone }
ring-route-end-wire-whips-round-wear = The end of the wire whips round: wear safety glasses and keep the tail under a thumb or clamp.
ring-route-keep-tension-until-end-clipped = Keep tension until the end is clipped: a loose coil whips. Wear safety glasses.
ring-route-turning-rod-pulls-in-wire = A turning rod pulls in wire, hair, sleeves and gloves. Use the lowest speed, guide with a block, and let go of the switch first. Follow the drill maker's instructions.
ring-route-wear-glasses-apron-under-pin = Wear glasses, apron under the pin. Don't squeeze the coil: a trapped blade snaps and flies. Don't breathe in the dust.
ring-route-every-snip-throws-sliver-wear = Every snip throws a sliver: wear glasses and hold a hand or cloth round the cut.
ring-route-rings-jump-off-tips-wear = Rings jump off the tips: wear glasses and keep fingers behind the blades.
ring-route-cut-ends-fly-pinched-ends = Cut ends fly and pinched ends are sharp: wear glasses, and file what will touch skin.

## ring-sentence

ring-sentence-pulled-straight = pulled straight { $pulls_n }
ring-sentence-filed = { " " }and filed
ring-sentence-snipped-once = snipped once{ $filed }
ring-sentence-blade = { $cutting } blade
ring-sentence-mm = { $to_mm } mm
ring-sentence-in-mm = { $to_mm } in ({ $to_mm2 } mm)
ring-sentence-hammered = hammered to { $thin }
ring-sentence-inside = { $inside } inside
ring-sentence-inside-2 = { $inside } × { $short } inside
ring-sentence-wound = , wound{ " " }
ring-sentence-on = { " " }on the{ " " }
ring-sentence-with = { " " }with a{ " " }

## ring-sheet

ring-sheet-coils = { $n } coils of { $turns }
ring-sheet-wind-wire = wind { $coils_told }, { $coil_wire_mm } of wire{ $each ->
    [true] {" "}each
   *[other] {""}
}
ring-sheet-ring = { $ring_length_mm } of ring
ring-sheet-next-ring = next ring
ring-sheet-tails-uneven-ends-off-spool = × { $rings_n } = { $rings_wire_mm } + tails { $tails_wire_mm } + uneven ends { $ragged_wire_mm } = { $wire_length_mm } off the spool

## supply

supply-length-wire = length of wire
supply-mass-wire = mass of wire
supply-enter-wires-length-in-mm = Enter the wire's length in mm or its weight in g.
supply-enter-wires-length-or-its = Enter the wire's length or its weight, not both.
supply-not-enough-for-one-ring = { $there } is not enough for one ring with its tails: that needs { $least_mm }.
supply-makes-leaves = { $there } makes { $n } and leaves { $left_mm }.

## wish

wish-inside-wanted = inside wanted
wish-inside-wanted-given = { $wanted } inside is wanted, { $given } given
wish-as-many-as-wire-gives = as many as { $mm } of wire gives
wish-as-many-as-g-wire = as many as { $grams } g of wire gives

## moment

moment = moment of a ring plan
moment-wound = on the rod
moment-released = sprung open

## slot

slot = word of the sentence
slot-rings = how many
slot-temper = temper
slot-metal = metal
slot-section = section
slot-size = wire size
slot-lot = lot
slot-pulls = pulls
slot-winding = winding
slot-mandrel = rod
slot-cutting = cutting
slot-blade = blade
slot-hammered = hammering
slot-making = making
slot-inside = ring inside

## zone-kind

zone-kind = zone of the strip
zone-kind-ring = ring
zone-kind-kerf = kerf
zone-kind-sliver = sliver
zone-kind-filing = filed off
zone-kind-next = next ring

## ring-figures-words

ring-figures-kerf = kerf
ring-figures-slivers = slivers
ring-figures-filings = filings
ring-figures-bend = bend
