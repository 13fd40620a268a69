## coil

coil-wire-thick-thicker-than-rod = Wire { $thickness } thick is thicker than the rod of { $across }, which would bend first. Use wire of at most { $across }, or a rod of at least { $thickness }.
coil-square-wire-bulges-on-its = Square wire of { $size } bulges on its inner face on a rod of { $across }, and the turns won't lie flat. Use a rod of at least { $least }.
coil-on-this-springs-straight-again = On the { $mandrel } this { $temper } { $metal } springs straight again: nothing bends past its yield. Use a rod well under { $most }, or softer or thicker wire.

## cutting

cutting-wear-safety-glasses-hold-both = Wear safety glasses and hold both sides of the cut: ends fly.
cutting-kerf = kerf
cutting-sliver = sliver
cutting-saw-cut-wide-takes-all = A saw cut { $kerf } wide takes all of wire { $size_mm } thick. Use a flush cutter.
cutting-blade-has-only-teeth-in = A { $blade } blade has only { $teeth } teeth in wire of { $size_mm } and would catch; two or three should be in it. Use a { $right } blade.

## gear

gear-wire-that-cutter-takes = wire that the cutter takes
gear-load-tumbler = load of the tumbler
gear-cutter-cant-take-thicker-hard = A cutter can't take thicker hard wire than soft. Enter a smaller size for hard wire.
gear-saw-square-in-guide-block = saw it square in the guide block and file it flush to the block
gear-saw-square-file-flush = saw it square and file it flush
gear-no-torch-listed-under-tools = no torch is listed under Tools. Add yours, or leave the heat out.
gear-taper = taper
gear-tapers-length = taper's length
gear-taper-widens-from-its-narrow = A taper widens from its narrow end. Swap the two sizes.

## hand

hand-unevenness = unevenness

## hand-source

hand-source = source of a difference
hand-source-rod = rod as measured
hand-source-wood = wood giving
hand-source-tape = tape
hand-source-coil-slack = coil not tight on the rod
hand-source-kerf = kerf wandering
hand-source-closing = closing
hand-source-roundness = roundness
hand-source-caliper = caliper

## mandrel

mandrel-rod-diameter = rod diameter
mandrel-short-axis = short axis
mandrel-corner-rounding = corner rounding
mandrel-rod-length = rod length
mandrel-usable-length = usable length
mandrel-tape-thickness = tape thickness
mandrel-rods-name = rod's name
mandrel-layers-tape-too-many-enter = { $tape_layers } layers of tape are too many. Enter at most 20.
mandrel-rod-has-no-short-axis = A { $shape } rod has no short axis. Leave it out.
mandrel-short-axis-longer-than-long = The short axis of { $short } is longer than the long one of { $diameter_mm }. Swap them.
mandrel-corners-cannot-be-rounder-than = The corners cannot be rounder than the rod. Enter at most { $most }.
mandrel-cannot-be-wound-on-rod = { $usable } cannot be wound on a rod that is { $length } long. Enter at most its length.
mandrel-mm = { $diameter_mm } × { $short } mm
mandrel-in-mm = { $diameter_mm } × { $short } in ({ $long_mm } × { $short_mm } mm)
mandrel-with-1-layer-tape = { " " }with 1 layer of tape
mandrel-with-layers-tape = { " " }with { $n } layers of tape

## method

method-number-pulls = number of pulls
method-length-trim = length to trim
method-time-in-tumbler = time in the tumbler

## plier

plier-jaw-diameter = jaw diameter
plier-jaw-length = jaw length
plier-reach-jaws = reach of the jaws
plier-place-on-jaw = place on the jaw
plier-enter-name-for-pliers = Enter a name for the pliers.
plier-base-no-thicker-than-tip = The base of { $base } is no thicker than the tip of { $tip }. Round-nose jaws get thicker from tip to base.
plier-second-place-must-be-at = The second place must be at least 1 mm (0.04 in) further from the tip, and thicker.
plier-enter-diameters-at-tip-base = Enter the diameters at tip and base, or two measured places, not a mix of both.
plier-exactly-2 = exactly 2
plier-1-12 = 1 to 12
plier-diameters-entered-jaws-have = { $n } diameters are entered; { $jaws } jaws have { $right }.

## questions

questions-how-wire-for-findings-straightened = How is wire for findings straightened?
questions-stays-as-soft-as-was = It stays as soft as it was sold.
questions-straighter-little-harder-with-each = Straighter and a little harder with each pull: bends spring back more and hold more.
questions-as-hard-as-pulled-on = As hard as pulled on the spool. A short piece is hard to hold.
questions-which-way-does-flat-side = Which way does the flat side of the cutter face?
questions-no-trimming-afterwards-spool-flushed = No trimming afterwards. The spool is flushed before each piece.
questions-good-for-spool-each-piece = Good for the spool. Each piece is trimmed once.
questions-when-finding-cut-off-spool = When is a finding cut off the spool?
questions-all-blanks-batch-equal-short = All blanks of a batch are equal. Short ones are hard to hold.
questions-spool-handle-no-blank-too = The spool is the handle: no blank is too short to roll, and a mistake wastes less wire.
questions-nothing-comes-out-short-trimmings = Nothing comes out short. The trimmings are scrap, and each pair is matched by eye.
questions-when-blanks-marked-for-their = When are blanks marked for their bends?
questions-all-lie-side-by-side = All lie side by side: one ruler, even marks.
questions-ruler-already-in-your-hand = The ruler is already in your hand. Nothing is measured twice.
questions-how-end-held-while-wire = How is the end held while wire is wrapped?
questions-firm-grip-each-piece-loses = A firm grip. Each piece loses a tail.
questions-nothing-lost-last-half-turn = Nothing is lost. The last half turn marks easily.
questions-what-holds-tail-coil-wound = What holds the tail of a coil wound by hand?
questions-works-on-any-rod-tail = Works on any rod. The tail slips if your grip does.
questions-never-slips-rod-needs-hole = Never slips. The rod needs a hole.
questions-quick-in-out-rod-needs = Quick in and out. The rod needs a slot.
questions-firm-for-thick-wire-jaw = Firm for thick wire. The jaw marks the tail.
questions-where-coil-sawn-from = Where is a coil sawn from?
questions-any-bore-dont-squeeze-coil = Any bore. Don't squeeze the coil.
questions-frame-stands-still-bore-must = The frame stands still. The bore must be wide enough for the blade.
questions-nothing-rattles-dowel-used-up = Nothing rattles. The dowel is used up, and its rings are less alike.
questions-coil-sawn-straight-or-at = Is a coil sawn straight or at a slant?
questions-straight-along = straight along
questions-faces-square-wire = Faces square to the wire.
questions-at-slight-slant = at a slight slant
questions-each-cut-guides-blade-into = Each cut guides the blade into the next ring. The faces lean a little.
questions-coil-spread-before-snipped = Is a coil spread before it is snipped?
questions-as-wound = as wound
questions-nothing-more-do-blades-squeeze = Nothing more to do. The blades squeeze their way in.
questions-spread-with-key-first = spread with a key first
questions-cutter-gets-in-cleanly-each = The cutter gets in cleanly. Each ring must be pressed flat again.
questions-how-joint-ring-finished = How is the joint of a ring finished?
questions-no-torch-opens-where-metal = No torch. It opens where the metal gives.
questions-holds-about-four-times-as = Holds about four times as much. Soft afterwards, and only some metals can.
questions-holds-about-four-times-as-much = Holds about four times as much. Soft afterwards, and its scrap is kept apart.
questions-how-finished-piece-hardened = How is a finished piece hardened?
questions-only-where-carries-load-by = Only where it carries load. By hand, piece by piece.
questions-all-over-shiny-two-hours = All over and shiny. Two hours unattended, and loud.
questions-as-formed = As formed.
questions-how-tips-rounded = How are tips rounded?
questions-takes-off-0-15-thickness = Takes off 0.15 of the thickness. Any tip.
questions-quick-even-needs-burr-for = Quick and even. Needs a burr for each gauge.
questions-takes-nothing-off-two-hours = Takes nothing off. Two hours in the tumbler, a softer edge.
questions-what-comes-first-rounding-tips = What comes first, rounding the tips or hammering?
questions-tips-first = tips first
questions-tip-easy-hold-blow-near = The tip is easy to hold. A blow near it can raise a new edge.
questions-hammering-first = hammering first
questions-file-takes-off-what-blows = The file takes off what the blows raised. A hard tip files slowly.
questions-what-comes-first-loop-or = What comes first, the loop or the neck below it?
questions-in-findings-usual-order = In the finding's usual order.
questions-its-start-measured-loop-closes = Its start is measured. The loop closes on it.
questions-loop-rolled-at-end-wire = The loop is rolled at the end of the wire, then bent back by eye until it is centred.
questions-when-pre-closed-rings-chain = When are the pre-closed rings of a chain closed?
questions-all-before = all before
questions-one-movement-at-time-closed = One movement at a time. The closed ones lie ready.
questions-along-way = along the way
questions-nothing-count-out-you-change = Nothing to count out. You change pliers less and look more.

## tolerance

tolerance-tolerance = tolerance

## workshop

workshop-drill-shank = drill shank
workshop-number-drill = number { $i } drill
workshop-needle-us-uk = needle US { $us } UK { $uk }

## winding

winding = way of winding
winding-hand = by hand
winding-pin-vise = in a pin vise
winding-slow-drill = with a slow drill

## method

method = way of cutting
method-saw = sawn
method-double-flush = flush cut twice
method-shears = cut with shears
method-single-snip = snipped once

## blade

blade = saw blade

## shape

shape = rod shape
shape-round = round
shape-oval = oval
shape-square = square
shape-hexagon = hexagonal
shape-octagon = octagonal

## straightening

straightening = way of straightening
straightening-fingers = by fingers
straightening-pulls = by pulls through smooth jaws
straightening-after-cutting = by pulls, once it is cut

## flat-to

flat-to = side of the cutter
flat-to-piece = flat side of the cutter towards the piece
flat-to-spool = flat side of the cutter towards the spool

## saw-from

saw-from = place to saw from
saw-from-pin = on a pin
saw-from-inside = from inside
saw-from-dowel = on the dowel

## anchor-by

anchor-by = way of anchoring
anchor-by-thumb = under a thumb or clamp
anchor-by-hole = through a hole in the rod
anchor-by-slot = in a slot of the rod
anchor-by-vise = in a vise, beside the rod

## joint

joint = way of leaving a joint
joint-open = closed, not joined
joint-fuse = fused
joint-solder = soldered

## hardening

hardening = way of hardening
hardening-mallet = with a mallet
hardening-tumble = in the tumbler
hardening-none = not at all

## rounding

rounding = way of rounding tips
rounding-file = with a file
rounding-cup-burr = with a cup burr
rounding-barrel = in the tumbler

## cut-when

cut-when = time of cutting
cut-when-first = cut first
cut-when-on-spool = rolled on the spool, cut last
cut-when-long = cut long, trimmed to match

## wrap-tail

wrap-tail = way of wrapping
wrap-tail-held = with a tail to hold
wrap-tail-gripped = its end in pliers

## neck-when

neck-when = order of loop and neck
neck-when-usual = as usual for the finding
neck-when-neck-first = neck first
neck-when-loop-first = loop first

## marking

marking = time of marking
marking-by-itself = once all are cut
marking-with-cut = with each cut

## jaws

jaws = kind of jaws
jaws-round-nose = round-nose
jaws-stepped = stepped
jaws-loop-jaws = loop-jaw

## start-set

start-set = start set
start-set-metric-drills-by-0-5 = metric drills 1 to 13 mm by 0.5
start-set-metric-drills-by-0-1 = metric drills 1 to 13 mm by 0.1
start-set-fractional-drills = fractional drills 1/16 to 1/2 in by 64ths
start-set-numbered-drills = numbered drills 1 to 60
start-set-knitting-needles = knitting needles, with US and UK numbers
start-set-dowels = wooden dowels
