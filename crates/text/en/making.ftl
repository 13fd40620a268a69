## holds

holds-closed-for-good-pulls-out = closed for good, pulls out of shape at { $last }
holds-starts-open-at-pulls-open = starts to open at { $first }, pulls open at { $last }

## offers

offers-then = { $trade } Then: { $figures }
offers-as-bending-uses-stretch-metal = As it is, bending uses { $used } % of the stretch the metal has left. { $figures }
offers-anneal-along-way = Anneal along the way
offers-anneal-before = anneal before step { $step }, “{ $named }”
offers-put-back = put “{ $named }” back in
offers-dont = don’t { $label }
offers-leave-out = Leave out
offers-leave-out-2 = leave out “{ $named }”

## anchor

anchor-bend-end-over-hold-along = Bend { $tail } of the end over and hold it along the rod with a thumb or clamp.
anchor-put-end-through-hole-in = Put { $tail } of the end through the hole in the rod and bend it over.
anchor-put-end-into-slot-in = Put { $tail } of the end into the slot in the rod and bend it over.
anchor-clamp-end-together-with-rod = Clamp { $tail } of the end together with the rod in the vise.
anchor-grip-end-in-pin-vise = Grip { $tail } of the end in the pin vise together with the rod.
anchor-grip-end-in-chuck-together = Grip { $tail } of the end in the chuck together with the rod. Keep both hands behind the guide.
anchor-tail = tail

## anneal

anneal-cannot-be-annealed-with-torch = { $metal } cannot be annealed with a torch in air: it takes up gas and turns brittle. Buy it softer, or make the bend wider.
anneal-anneal-first-or-make-bend = Anneal it first, or make the bend wider.
anneal-make-bend-wider-or-use = Make the bend wider, or use softer wire.
anneal-bends-made-after-this-spring = Bends made after this spring back less. The piece is weaker until it is hardened again.
anneal-too-much-heat-ruins-its = Too much heat ruins its outer layer: use as little as you can.
anneal-dont-move-or-strike-while = Don't move or strike it while it is hot: it breaks.
anneal-piece = piece
anneal-heat-evenly-until-about-c = Heat it evenly until { $cue } (about { $from } to { $to } °C). Hold it there { $soak_s } s. Then { $cooling }.
anneal-torch-fireproof-surface-fresh-air = Torch: fireproof surface, fresh air, hair and sleeves tied back, extinguisher near. Never heat plated, coated or galvanised wire. Follow the torch maker and local rules.

## ball

ball-its-outer-layer-would-melt = its outer layer would melt into the core
ball-turns-brittle-in-air = it turns brittle in air
ball-must-not-be-melted = { $metal } must not be melted: { $why }.
ball-choose-another-metal-or-another = { $metal } Choose another metal or another head.
ball-end = end
ball-hold-wire-upright-its-left = Hold the wire upright, its left end in the flame, until it draws up to a ball of { $ball_mm }. That uses { $length_mm } of wire. Then { $cooling }.
ball-flame-leaves-stem-soft-near = The flame leaves the stem soft near the ball. Pull it through smooth jaws afterwards.
ball-torch-fireproof-surface-fresh-air = Torch: fireproof surface, fresh air, hair and sleeves tied back, extinguisher near. Never heat plated or filled wire. Follow the torch maker and local rules.

## bend

bend-of = { $what } { $n } of { $of }
bend-then-other-one-at-same = { " " }Then the other one, at the same place on the jaw.
bend-bend-both-wires-same-way = { " " }Bend both wires the same way.
bend-fold-back-on-itself-press = { $at }: fold it back on itself, both ends level, and press the two wires together.
bend-fold-back-press-two-wires = { $at }: fold { $the } back{ $way } and press the two wires together.
bend-where-loop-meets-stem-bend = Where the loop meets the stem, bend it back{ $way } { $with } until it sits centred.
bend-lift-upright-make-bail-close = Lift { $the } upright to make the bail. Close it against the coil.
bend-roll-roll = { $at }: roll { $the }{ $way } { $with }. Roll { $until }.
bend-bend-bend = { $at }: bend { $the }{ $way } { $with }. Bend { $until }.
bend-there-nothing-bend-in = there is nothing to bend in it.
bend-would-be-exact-this-tool = { $mm } would be exact. This tool leaves { $gives } inside.

## operations-check

operations-check-piece = piece

## close

close-still-coil-cut-into-rings = it is still a coil. Cut it into rings first.
close-cutting-leaves-no-opening-in = cutting leaves no opening in it.
close-close-each-ring-sideways-swing = Close each ring sideways. Swing the ends past each other, push them together a little, and let them spring back face to face. Never pull them apart.
close-press-closed-go-past-closed = Press { $what } closed: go past closed, then let it spring back.

## coil

coil-there-nothing-wind-in = there is nothing to wind in it.
coil-this-wire-springs-straight-off = this wire springs straight off such a wide rod. Use a softer temper.
coil-its-wide-end-springs-straight = its wide end springs straight. Use a softer temper.
coil-your-taper-has-no-place = Your taper has no place that is { $small_mm } to { $large_mm } across. Use another taper, or change the mouths.
coil-from-its-narrow-end = { " " }({ $at } from its narrow end)
coil-wind-on-taper-from-where = Wind { $turns } on the taper, from where it is { $small_mm } across to where it is { $large_mm }. Keep each turn against the last. Let it spring open: { $left } left, mouths { $small_mm2 } and { $large_mm2 }.
coil-wind-in-all-close-together = Wind { $wound } in all { $bent }, close together: { $wound2 } for the { $what }, and { $more } to lift later. Let it spring open: { $left } left, { $inside } inside.
coil-wind-close-together-let-spring = Wind { $wound } { $bent }, close together. Let it spring open: { $left } left, { $inside } inside.
coil-end-wire-whips-round-wear = The end of the wire whips round: wear glasses and keep a thumb on the tail. With a drill, no gloves near the rod.

## operations-cut

operations-cut-flat-side-cutter-towards-piece = Flat side of the cutter towards the piece: both its ends are flush, and the end left on the spool is pinched.
operations-cut-flat-side-cutter-towards-spool = Flat side of the cutter towards the spool: the spool stays flush for the next piece, and this piece's right end is pinched.
operations-cut-cut-both-using-first-as = { " " }Cut both, using the first as the template.
operations-cut-cut-all-using-first-as = { " " }Cut all { $n }, using the first as the template.
operations-cut-thicker-than-your-cutter-can = Thicker than your cutter can take ({ $most } at this hardness): saw it.
operations-cut-from-end-bend-along-straight = from the end of the bend, along the straight wire
operations-cut-from-flush-end = from the flush end
operations-cut-clip-wire-where-last-turn = Clip the wire where the last turn ends.
operations-cut-where-last-turn-ends = Where the last turn ends, { $saw }.
operations-cut-mark-then-there = Mark { $ruler } { $from }. Then { $saw } there.
operations-cut-cut = Cut { $ruler } { $from }.
operations-cut-mark-cut-just-past-mark = Mark { $ruler } { $from }. Cut just past the mark.
operations-cut-your-trials-showed-needs-than = Your trials showed it needs { $allowance_mm } { $more ->
    [true] more
   *[other] less
} than calculated.
operations-cut-rounded-ruler-comes-out-longer = Rounded to the ruler: the { $at } comes out { $surplus_mm } longer than drawn.
operations-cut-shorter-than-too-short-hold = Shorter than { $least_held_mm }: too short to hold. Grip it in smooth pliers, or roll the first end on the spool and cut last.
operations-cut-rolled-on-spool-no-extra = Rolled on the spool, no extra is needed to hold it: saves { $one } each, { $all } in all.
operations-cut-together-they-use-wire = { $template } Together they use { $all } of wire.
operations-cut-blank = blank

## cut-twice

cut-twice-there-no-coil-cut-wind = there is no coil to cut. Wind it first.
cut-twice-coil = coil
cut-twice-snip-off-one-turn-flat = Snip off one turn, flat side of the cutter to the ring. Turn the cutter round and trim { $sliver_mm } off the coil to make it flush. Repeat { $rings_n } times.
cut-twice-grip-deep-in-jaw-both = Grip deep in the jaw. Both faces are flat, but don't quite match.

## flatten

flatten-there-nothing-hammer = there is nothing to hammer.
flatten-make-all-marks-first = Make all marks first.{ " " }
flatten-hammer-first-from-end-flat = { $marked }Hammer the first { $to } from the { $right ->
    [true] right
   *[other] left
} end flat, to { $thin } thick. Turn it over as you go. It grows to { $grown }.
flatten-hammer-on-block-same-on = Hammer { $what } to { $thin } on the block, the same on both sides. It opens a little: press it back to the drawing.
flatten-hammer-block = hammer and block
flatten-wear-safety-glasses-keep-fingers = Wear safety glasses. Keep fingers clear of the block.

## flux

flux-neither-fused-nor-soldered-at = { $metal } is neither fused nor soldered at the bench. Leave out the flux.
flux-ends-dont-meet-yet-close = the ends don't meet yet. Close it first: flux burns off between open ends.
flux-joint = joint
flux-brush-thin-coat-flux-all = Brush a thin coat of flux all round the joint. Let it dry.
flux-flux-keeps-air-off-hot = Flux keeps air off the hot metal. It does nothing else.
flux-flux-may-contain-fluorides-keep = Flux may contain fluorides: keep it off skin and out of eyes, and work in fresh air. Follow the maker's safety sheet.

## hammer

hammer-there-no-ring-yet-cut = there is no ring yet. Cut the coil first.
hammer-blows-would-open-further-close = the blows would open it further. Close it first.
hammer-wire-thick-cannot-be-hammered = wire { $h } thick cannot be hammered to { $to_mm }. Enter a smaller thickness.
hammer-this-thin-wire-spreads-until = this thin, the wire spreads until no opening is left. Hammer it less.
hammer-ring = ring
hammer-hammer-block = hammer and block
hammer-hammer-on-polished-block-same = Hammer it to { $to_mm } on the polished block, the same on both sides. Close it again and flatten it. It grows to { $inside } inside, with the wire { $width } wide.
hammer-sharp-hammer-edge-cuts-thin = A sharp hammer edge cuts thin wire: use a domed, mirror-smooth face.
hammer-wear-safety-glasses-keep-fingers = Wear safety glasses. Keep fingers clear of the block.

## handwork

handwork-wear-safety-glasses-keep-fingers = Wear safety glasses. Keep fingers clear of the block.
handwork-dont-breathe-in-dust = Don't breathe in the dust.
handwork-press-turns-together-each-against = Press the turns together, each against the next.
handwork-press-straight-in-smooth-jaws = Press { $the } straight in smooth jaws.
handwork-level-on-abrasive-paper-on = Level { $the } on abrasive paper on a flat plate: coarse, then fine.
handwork-texture-once-flat-closed-light = Texture the { $what } once it is flat and closed: light blows, side by side.
handwork-bevel-with-light-blows-or = Bevel { $the } with light blows or a file, slanting outward all round.
handwork-flatten-tap-with-mallet-on = Flatten { $the }: tap it with a mallet on the flat block until it doesn't rock.
handwork-cannot-be-done-by-hand = “{ $other }” cannot be done by hand.

## join

join-torch-fireproof-surface-fresh-air = Torch: fireproof surface, fresh air, hair and sleeves tied back, extinguisher near. Flux gives off fumes. Never heat plated, coated or galvanised wire. Follow the torch maker and local rules.
join-joined-already = it is joined already.
join-ends-dont-meet-yet-close = the ends don't meet yet. Close it first.
join-no-flux-on-yet-brush = No flux on it yet. Brush some on first, or air keeps the joint from flowing.
join-heat-leaves-soft-all-over = The heat leaves it soft all over. The tumbler hardens it again.
join-brittle-while-hot-dont-move = It is brittle while hot: don't move it until it is cold.
join-leave-this-metal-closed-but = Leave this metal closed but not joined, or choose another metal.
join-ways-join = Ways to join it: { $ways }.
join-does-not-fuse-itself = { $metal } does not fuse to itself. { $metal2 }
join-joint = joint
join-put-on-charcoal-heat-all = Put it on charcoal. Heat all of it evenly, then the joint. Take the flame away the moment it shines like water.
join-not-soldered-at-bench = { $metal } is not soldered at the bench. { $metal2 }
join-use-as-little-heat-as = Use as little heat as you can: too much melts its outer layer into the core.
join-put-on-charcoal-with-chip = Put it on charcoal with a chip of solder under the joint. Heat all of it evenly. Draw the solder through with the flame.
join-torch-fireproof-surface-fresh-air-hair = Torch: fireproof surface, fresh air, hair and sleeves tied back, extinguisher near. Flux gives off fumes; use cadmium-free solder. Never heat plated, coated or galvanised wire. Follow the makers and local rules.

## link

link-rings = rings
link-close-sideways-until-ends-meet = Close { $n } sideways until the ends meet and no light shows through. Put them in a pile of their own.
link-open-sideways-ends-past-each = Open { $n } sideways, ends past each other, to a gap of about { $size_mm }: wide enough for the wire to pass. Never pull the ends apart. Make a second pile.
link-stop-at-end-row-not = Stop at the end of a row, not in the middle. Count the rows before you go on.
link-some-its-rings-other-wire = Some of its rings are of other wire or size: make those from their own plan first.
link-close-other-as-you-come = { " " }Close the other { $n } as you come to them.
link-add-one-at-time-as = Add the { $n } one at a time, as drawn. Close each before you add the next.{ $on_the_way }

## make-flush

make-flush-do-this-before-each-piece = { " " }Do this before each piece.
make-flush-end = end
make-flush-at-spools-end = At the spool's end, { $saw }.{ $again }
make-flush-snip-spools-end-flush-flat = Snip the spool's end flush, flat side of the cutter towards the spool.{ $again }

## mark-out

mark-out-from-left-end = { $at } from the left end
mark-out-from-right-end = { $at } from the right end
mark-out-middle-fold = the middle of the fold
mark-out-where-bend-starts = where the bend starts
mark-out-where-bends-start = where the bends start
mark-out-mark = Mark { $what }: { $ends }.
mark-out-for-second-lay-beside-first = { " " }For the second, lay it beside the first and mark across.
mark-out-for-others-lay-each-beside = { " " }For the others, lay each beside the first and mark across.
mark-out-blank = blank
mark-out-use-fine-permanent-marker-alcohol = Use a fine permanent marker. Alcohol takes off what is left.

## operations-part

operations-part-there-no-fold-cut = there is no fold to cut.
operations-part-cut-them-apart-last-after = Cut them apart last, after tumbling and finishing. Cut { $what } off both wires where they are straight ({ $to } of wire). Keep the flat side of the cutter to the pieces.

## pickle

pickle-in-pot-that-has-held = in a pot that has held copper or silver, iron plates copper onto everything
pickle-acid-eats = the acid eats it
pickle-does-not-go-into-pickle = { $metal } does not go into pickle: { $why }. Leave out the pickle.
pickle-still-hot-acid-spatters-cool = it is still hot, and acid spatters. Cool it first.
pickle-piece = piece
pickle-leave-in-warm-pickle-until = Leave it in warm pickle until the flux is off. Rinse and neutralise. Pickle only removes flux and scale.
pickle-acid-add-acid-water-keep = Acid: add acid to water, keep the lid on, use brass or plastic tongs, gloves and glasses. Follow local rules for disposal.

## quench

quench-piece = piece
quench-dont-move-or-strike-while = Don't move or strike it while it is hot: it breaks.
quench-steam-spatter-hold-with-tongs = Steam and spatter: hold it with tongs.
quench-stays-hot-long-after-glow = It stays hot long after the glow is gone: hold it with tongs.

## round

round-round-smooth-file-in-one = Round and smooth { $the }: file in one direction, then emery, coarse before fine.
round-dont-breathe-in-dust-test = Don't breathe in the dust. Test the tip on your own skin only once it is smooth.
round-round-in-cup-burr-that = Round { $the } in a cup burr that fits the wire, a few light turns. Then emery.
round-wear-glasses-dont-breathe-in = Wear glasses. Don't breathe in the dust. Test the tip on your own skin only once it is smooth.
round-leave-as-cut-tumbler-rounds = Leave { $the } as cut: the tumbler rounds it.

## saw

saw-there-no-coil-saw-wind = there is no coil to saw. Wind it first.
saw-saw-blade-needs-bore-this = a saw blade needs a bore of { $threaded_mm } and this one is { $inside_mm }. Saw from outside, on a bench pin.
saw-put-coil-in-notch-bench = Put the coil in the notch of the bench pin with a dowel inside, so it doesn't rock. Saw along it from outside
saw-thread-blade-through-coil-teeth = Thread the blade through the coil, teeth out and towards the handle. Start at the top edge. Hold the frame still and saw along the coil
saw-saw-along-coil-on-its = Saw along the coil on its dowel, so that no ring rattles
saw-at-slight-slant-so-that = , at a slight slant, so that each cut leads into the next ring
saw-coil = coil
saw-blade = { $blade } blade
saw-with-waxed-blade = { $how } with a waxed { $blade } blade{ $slant }: { $rings_n }.

## shear

shear-there-no-coil-cut-wind = there is no coil to cut. Wind it first.
shear-one-turn = one turn
shear-two-turns = two turns
shear-coil = coil
shear-cut-along-coil-with-tips = Cut along the coil with the tips of sheet shears, { $bite } at a time, { $bites_n } cuts. File the burr off both faces.
shear-taking-more-turns-at-time = Taking more turns at a time bends the rings.

## slide-off

slide-off-there-no-coil-on-rod = there is no coil on a rod. Wind it first.
slide-off-wire-springs-straight = the wire springs straight.
slide-off-clip-wire-let-coil-spring = Clip the wire. Let the coil spring open. Leave it on the dowel.
slide-off-clip-wire-let-coil-spring-open = Clip the wire. Let the coil spring open and slide it off.
slide-off-coil = coil
slide-off-now-has-inside-cut-off = { $slide } It now has { $turns_n }, { $inside_mm } inside. Cut off the tails and uneven ends.

## snip

snip-there-no-coil-snip-wind = there is no coil to snip. Wind it first.
snip-file-both-faces-flat = { " " }File both faces flat.
snip-coil = coil
snip-snip-along-coil-one-turn = Snip along the coil, one turn at a time, { $rings_n } times.{ $file }
snip-pinched-ends-will-do-for = Pinched ends will do for simple chain. They cannot be soldered.
snip-thicker-than-your-cutter-can = Thicker than your cutter can take ({ $most } at this hardness): saw it.

## spiral

spiral-there-no-spiral-coil = there is no spiral to coil.
spiral-squeeze-its-middle-shut = . Squeeze its middle shut
spiral-start-coil-flat-in-smooth = { $numbers }: start the { $what } { $numbers2 } { $bent }{ $value }. Coil { $left } flat in smooth jaws, each turn against the last.

## operations-spread

operations-spread-there-no-coil-spread = there is no coil to spread.
operations-spread-coil = coil
operations-spread-spread-coil-turn-by-turn = Spread the coil turn by turn with a key or rod of { $key }, a little thicker than the wire.

## stiffen

stiffen-tap-with-mallet-on-block = Tap { $what } with a mallet on the block, the same on both sides, to harden it.
stiffen-stiffen = Stiffen { $what }.
stiffen-wear-safety-glasses-keep-fingers = Wear safety glasses. Keep fingers clear of the block.

## straighten

straighten-pull-through-smooth-plastic-jaws = Pull the { $what } { $pulls_n } through smooth plastic jaws. Hold it behind the bend.
straighten-would-pull-out-bends-already = it would pull out the bends already made. Straighten first.
straighten-run-wire-through-your-fingers = Run the wire through your fingers or a cloth until it is straight, still on the spool.
straighten-pull-each-piece-through-smooth = Pull each piece { $pulls_n } through smooth plastic jaws. Hold its end in pliers.
straighten-pull-wire-through-smooth-plastic = Pull the wire { $pulls_n } through smooth plastic jaws, still on the spool.
straighten-each-pull-hardens-wire-little = Each pull hardens the wire a little, and later bends spring back more.
straighten-hold-far-end-wire-that = Hold the far end: a wire that slips out of the jaws whips. Wear safety glasses.

## trim

trim-sawn-square-filed-flush = sawn square and filed flush
trim-flat-side-cutter-piece = flat side of the cutter to the piece
trim-lay-each-further-piece-on = { " " }Lay each further piece on the first and trim it to match.
trim-trim = Trim the { $what } to { $left }, { $how }.{ $match_it }
trim-trim-flush-at-mark-stays = Trim the { $what } flush at the mark, { $how }. { $mm } stays.
trim-trim-about-off = Trim about { $off } off the { $what }, { $how }.
trim-there-less-wire-than-would = there is less wire than would be trimmed off.

## tumble

tumble-coil-would-tangle-fill-with = a coil would tangle and fill with shot. Cut it into rings first.
tumble-straight-wire-comes-out-bent = straight wire comes out bent. Tumble it once it is formed.
tumble-in-loads = { " " }in { $loads } loads
tumble-pieces = pieces
tumble-tumble-h-in-steel-shot = Tumble { $hours } h{ $in_loads } in steel shot, water to cover and a drop of soap. Rinse, sort and dry.
tumble-tumbling-hardens-surface-shines-rounds = Tumbling hardens the surface, shines and rounds tips in one go. It runs on its own.
tumble-tumbler-loud-keep-water-away = The tumbler is loud. Keep water away from the motor, and follow the maker's instructions.

## wind

wind-wire-springs-straight-off-this = the wire springs straight off this rod. Use a smaller rod or softer wire.
wind-turn-vise-let-wire-feed = { " " }Turn the vise and let the wire feed on.
wind-use-lowest-speed-guide-block = { " " }Use the lowest speed, and a guide block of wood or leather.
wind-wind-on-uses-wire = Wind { $turns } on the { $rod }. Uses { $wire } of wire.
wind-wind-coils-on-uses-wire = Wind { $n } coils of { $turns } on the { $rod }. Uses { $wire } of wire each.
wind-coil = coil
wind-keep-each-turn-against-last = { $coils }{ $how } Keep each turn against the last, with even tension.
wind-keep-tension-until-end-clipped = Keep the tension until the end is clipped. Loose turns make larger rings.

## wrap

wrap-its-own-stem = its own stem
wrap-keep-wrapping-close-together-until = Keep wrapping, close together, until there are { $count } in all, counted as { $rule }.
wrap-wrap-round-stem-close-together = Wrap { $count } round the stem, close together, counted as { $rule }.
wrap-lead-tail-down-from-loop = Lead the tail down from the loop, { $turns } of a turn round the stem.
wrap-tails-cut-end-sharp-until = The tail's cut end is sharp until it is trimmed and pressed in.

## making-place

making-place-straight-length-same-wire = a straight length of the same wire
making-place-jaw-or-rod = jaw or rod
making-place-nothing = nothing
making-place-you-have-no-nearest-gives = You have no { $what } of { $wanted_shown }. The nearest, { $tool }, gives { $gives_mm } instead of { $inside_mm }.
making-place-no-pliers-or-rods-listed = No pliers or rods are listed under Tools. A { $what } of { $wanted_shown } makes this bend.
making-place-this-wire-springs-straight-off = This wire springs straight off such a wide cone. Use a softer temper or a smaller mouth.
making-place-nearest-you-have-gives = { " " }The nearest you have, the { $rod }, gives { $left }.
making-place-oval-rod = { $ideal } oval rod
making-place-no-oval-rod-yours-gives = No oval rod of yours gives { $wanted }; one of { $ideal } does.{ $nearest } Bend a round ring over two rods, or wind it on a dowel filed to shape.

## making-route

making-route-number-pulls = number of pulls
making-route-thickness = thickness
making-route-time-in-tumbler = time in the tumbler
making-route-does-not-apply-only = “{ $field }” does not apply to { $operation }, only to { $of }.
making-route-enter-operation-this-comes-before = Enter the operation this comes before.
making-route-enter-before-or-after-not = Enter before or after, not both.
making-route-piece = piece
making-route-cannot-be-added-on-its = “{ $other }” cannot be added on its own. You can add anneal, straighten, hammer, flux, fuse, solder, quench, pickle or tumble.
making-route-changes-too-many-for-one = { $n } changes are too many for one route. Enter at most { $MOST }.
making-route-without-this-would-be-another = Without “{ $operation }” this would be another piece. Change the piece instead.
making-route-there-no-in-this-route = There is no “{ $operation }” in this route to leave out.
making-route-anneals-too-many-grain-grows = { $anneals } anneals are too many: the grain grows each time until the metal tears. Use at most { $MOST_ANNEALS }, or wider bends.
making-route-there-no-in-this-route-2 = There is no “{ $operation }” in this route.
making-route-this-route-has-not = This route has “{ $before }” { $n }, not { $nth }.

## run

run-step = Step { $i }, { $operation }: { $why }
run-brittle-while-hot-cool-first = { $metal } is brittle while it is hot. Cool it first, then { $operation }.
run-no-hammer-steel-block-listed = No hammer and steel block are listed under Tools.
run-no-mallet-listed-under-tools = No mallet is listed under Tools.
run-used-so-far-what-metal = Used so far: { $most } of what the metal can take.
run-used-so-far-what-metal-can = Used so far: { $least } to { $most } of what the metal can take.
run-will-probably-crack-here-estimate = { $metal } will probably crack here. { $wire } (Estimate.)
run-watch-for-cracks-this-uses = Watch for cracks: this uses { $share } % of the stretch the metal has left. { $wire } (Estimate.)

## telling

telling-the = the { $what }
telling-parted-end = the parted end
telling-fold = the fold
telling-their-own-ends = their own ends
telling-right-end = the right end
telling-left-end = the left end
telling-level-with-jaw = { $end } level with the jaw
telling-from = { $at } from { $end }
telling-1-turn = 1 turn
telling-turns = { $text } turns
telling-on-from-tip = on the { $tool }, { $at } from the tip
telling-on-s-step = on the { $tool }'s { $size } step
telling-over = over the { $tool }
telling-with-flat-nose-pliers = with flat-nose pliers
telling-on-taper = on the taper
telling-round = round { $tool }
telling-with = with { $tool }
telling-until-end-meets-wire = until the end meets the wire
telling-until-its-ends-meet = until its ends meet
telling-until-third-way-square = until it is a third of the way to square
telling-until-half-way-square = until it is half-way to square
telling-until-two-thirds-way-square = until it is two thirds of the way to square
telling-until-square = until it is square
telling-until-third-past-square = until it is a third past square
telling-until-half-way-from-square = until it is half-way from square to straight back
telling-until-both-sides-parallel = until both sides are parallel
telling-little-as-drawn = a little, as drawn
telling-until-short-square-as-drawn = until it is short of square, as drawn
telling-past-square-as-drawn = past square, as drawn
telling-past-parallel-as-drawn = past parallel, as drawn
telling-springs-back-lot-go-well = It springs back a lot: go well past, then let go.
telling-springs-back-little-go-just = It springs back a little: go just past, then let go.
telling-left = to the left
telling-right = to the right
telling-up-towards-you = up, towards you
telling-down-away-from-you = down, away from you
telling-slipping-along-jaw-changes-size = Slipping { $far } along the jaw changes the size by { $far2 }.

## wear

wear-10-g-drop-jerked-at = A 10 g drop, jerked at ten times its weight. An ear wire should open before the ear tears.
wear-30-g-jerked-at-ten = 30 g, jerked at ten times its weight.
wear-120-g-jerked-at-ten = 120 g, jerked at ten times its weight.
wear-bracelet-catches-on-sleeves-handles = A bracelet catches on sleeves and handles: a swinging arm pulls with about 2 kg.
wear-strong-enough-for = strong enough for
wear-too-strong-for-ear = may be too strong for an ear: opens at about
wear-what-should-hold-before-starts = What it should hold before it starts to open, worn this way. The lower end of the ± 40 % counts; in an ear, the upper end too. A suggestion, not a rule.
wear-starts-open-against-what-worn = starts to open, against what it is worn as
wear-jerk-pulls-with-ten-times = A jerk pulls with ten times the weight.
wear-as-uncertain-as-strength-itself = As uncertain as the strength itself, ± 40 %.
wear-trade-experience = Trade experience.

## operation

operation = operation
operation-straighten = straighten
operation-anneal = anneal
operation-make-flush = flush
operation-cut = cut
operation-mark = mark
operation-anchor = anchor
operation-wind = wind
operation-slide-off = slide off
operation-spread = spread
operation-saw = saw
operation-cut-twice = cut twice
operation-shear = shear
operation-snip = snip
operation-ball = ball
operation-flatten = flatten
operation-fold = fold
operation-loop = roll
operation-bend = bend
operation-coil = wind
operation-spiral = coil
operation-wrap = wrap
operation-lift = lift
operation-kick = kick
operation-hammer = hammer
operation-press = press
operation-level = level
operation-texture = texture
operation-bevel = bevel
operation-true = true
operation-close = close
operation-shut-before = pre-close
operation-open-up = open
operation-link = link
operation-flux = flux
operation-fuse = fuse
operation-solder = solder
operation-quench = cool
operation-pickle = pickle
operation-trim = trim
operation-round = smooth
operation-part = part
operation-tumble = tumble
operation-check = check

## with

with = tool
with-jaw = jaw
with-rod = rod
with-flat-nose = flat-nose pliers
with-own-stem = its own stem
with-taper = taper
with-hammer = hammer and block
with-torch = torch

## from

from = end to measure from
from-near-end = left end
from-far-end = right end
from-fold = fold
from-parted-end = parted end
from-spool = spool

## turn

turn = way of turning
turn-left = left
turn-right = right

## lost

lost = kind of scrap
lost-clean = clean scrap
lost-soldered = soldered scrap
lost-dust = dust

## wear

wear = way of wearing
wear-ear = in the ear
wear-light-necklace = a light necklace
wear-heavy-necklace = a heavy necklace
wear-bracelet = a bracelet

## end

end = end of the wire
end-raw = as it comes
end-flush = flush
end-pinched = pinched
end-sawn = sawn
end-sheared = sheared
end-rounded = rounded
end-balled = balled
end-hammered = hammered flat

## closed-by

closed-by = way a piece was closed for good
closed-by-fused = fused
closed-by-soldered = soldered

## wear-fit

wear-fit-practice = practice
wear-fit-ear = in the ear
wear-fit-light-necklace = light necklace
wear-fit-heavy-necklace = heavy necklace
wear-fit-bracelet = bracelet
