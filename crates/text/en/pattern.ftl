## backwards

backwards-size-wanted = size wanted
backwards-enter-height-width-or-cut = Enter a height, a width or a cut length.
backwards-cannot-be-changed-too-already = The { $measure } cannot be changed too: the { $label } is already used for another target.
backwards-these-sizes-contradict-each-other = These sizes contradict each other. Leave one of them out.
backwards-this-size-cannot-be-reached = This size cannot be reached: the piece jumps past it. Enter another.
backwards-instead = { $label } { $new } instead of { $old }
backwards-cannot-be-reached-by-alone = A { $measure } of { $mm } cannot be reached by the { $label } alone: it gives { $least } to { $most }.

## pattern-change

pattern-change-18-or-18 = 18 or 18°
pattern-change-2-5-or-2-1 = 2.5 or 2 1/2
pattern-change-not-number-for-try = { $text } is not a number for the { $label }. Try { $try_this }.
pattern-change-not-option-for-known = { $text } is not an option for the { $label }. Known: { $known }.
pattern-change-not-word-this-sentence-known = { $slot } is not a word of this sentence. Known: pieces, kind, temper, metal, section, size, lot, plier, hand, { $own }.
pattern-change-not-from-spool-in-stock = not from a spool in stock
pattern-change-15-as-in-handbooks = ± 15 %, as in handbooks
pattern-change-wire = { $s } wire
pattern-change-best-for-each-bend = best for each bend
pattern-change-right-handed-as-drawn = right-handed, as drawn
pattern-change-pulls-open-at = , pulls open at { $load }
pattern-change-cut-bending-uses-its-stretch = cut { $cut }{ $gives }, bending uses { $used } % of its stretch
pattern-change-cannot-be-dragged-on-drawing = { $slot } cannot be dragged on the drawing. Type it.
pattern-change-not-whole-number-enter-1 = { $text } is not a whole number. Enter 1 to { $most_pieces }.

## pattern-check

pattern-check-to = { $piercing_mm } to { $piercing_mm2 }
pattern-check-closes-end-end = The { $what } closes end to end.
pattern-check-closes-its-end-meets-along = The { $what } closes: its end meets the { $on }, { $along_mm } along it.
pattern-check-stays-open-by = The { $what } stays open by { $gap_mm }.
pattern-check-runs-through-itself = The { $a } runs through itself
pattern-check-runs-through = The { $a } runs through the { $b }
pattern-check-apart-but-wire-thick-give = { $whose }: { $apart_mm } apart, but the wire is { $profile } thick. Give them more room.
pattern-check-wire-touches-itself-nowhere = The wire touches itself nowhere.
pattern-check-only-stem-left-too-short = Only { $left } of stem is left: too short for a bead and a second loop.
pattern-check-straight-stem-use = { $left } of straight stem to use.
pattern-check-bore-wider-than-cord-so = The bore is { $play } wider than the cord, so the cord may pull out.
pattern-check-cord-has-play = The cord of { $cord_mm } has { $play } of play.
pattern-check-tip-not-bent-out-ear = The tip is not bent out: the ear wire can work its way out of the ear.
pattern-check-tip-points-out-by-stays = The tip points out by { $kick_deg }°: it stays in the ear. Round it.
pattern-check-s-mouth-too-narrow-for = The { $what }'s mouth of { $mouth_shown } is too narrow for a ring of { $ring } wire.
pattern-check-s-mouth-wide-for-ring = The { $what }'s mouth of { $mouth_shown } is wide for a ring of { $ring } wire: it may slip off.
pattern-check-ring-wire-fits-its-mouth = A ring of { $ring } wire fits the { $what }: its mouth is { $mouth_shown }. Closed below { $ring }, it holds.
pattern-check-draws-up-bright-ball = { $name } draws up to a bright ball.
pattern-check-draws-up-ball-blackens-needs = { $name } draws up to a ball. It blackens and needs pickle.
pattern-check-choose-another-metal-or-another = { $metal } Choose another metal or another head.
pattern-check-does-not-ball-well-at = { $name } does not ball well at the bench. Try a scrap first, or choose another head.
pattern-check-thin-for-ear-can-cut = { $size } is thin for an ear: it can cut. Usual piercings take { $take }.
pattern-check-thicker-than-usual-piercings-take = { $size } is thicker than usual piercings take ({ $take }). Ask the wearer.
pattern-check-fits-usual-piercings = { $size } fits usual piercings ({ $take }).
pattern-check-contains-nickel-not-in-ear = { $name } contains nickel: not in an ear, not against skin. Nickel rules differ by country.
pattern-check-many-wear-in-ear-others = Many wear { $name } in the ear; others use it only for practice. Never in a fresh piercing. Some skins react.
pattern-check-contains-bound-nickel-ask-wearer = { $name } contains bound nickel: ask the wearer, and check the rules where you sell.
pattern-check-does-not-belong-in-ear = { $name } does not belong in an ear: it corrodes or wears. Use silver, gold, niobium or titanium.
pattern-check-will-probably-crack-needs-stretch = The { $name } will probably crack: it needs { $percent } % of the stretch the metal has left. { $advice } (Estimate.)
pattern-check-close-cracking-uses-stretch-metal = The { $name } is close to cracking: it uses { $percent } % of the stretch the metal has left. { $advice } (Estimate.)
pattern-check-tightest-bend-uses-stretch-metal = The tightest bend, the { $name }, uses { $percent } % of the stretch the metal has left. (Estimate.)

## compare

compare-here-there = { $label } { $here } here, { $there } there
compare-cut-length = cut length

## design

design-would-be-negative-other-parts = The { $what } would be negative ({ $length_mm }): other parts take more than there is. Make it at least { $length_mm2 } longer.
design-wire-thick-cannot-be-hammered = Wire { $h } thick cannot be hammered to { $thickness_mm }. Enter less than the wire, or 0 to leave it round.
design-too-large-enter-at-most = The { $label } of { $low } is too large: { $why } Enter at most { $high }.

## pattern-drawn

pattern-drawn-front = front
pattern-drawn-side = side
pattern-drawn-straight = straight
pattern-drawn-after = after { $operation }: { $what }
pattern-drawn-the = The { $name }, { $what }.
pattern-drawn-from-high-wide = The { $name } from the { $from }: { $y } high, { $wide } wide.

## pattern-figures

pattern-figures-geometry-bending-does-not-change = Geometry: bending does not change the volume of the wire, so its middle line keeps its length.
pattern-figures-plastic-bending-section-voce-flow = Plastic bending of the section. Voce flow curve with typical handbook values.
pattern-figures-rounded-up-ruler-comes-out = Rounded up to the ruler, { $step }; the { $at } comes out { $surplus_mm } mm longer.
pattern-figures-closes-at-both-ends-so = It closes at both ends, so the ruler's nearest mark is used.
pattern-figures-your-trials-showed-that-blank = Your trials showed that a blank must be { $mm } mm { $longer ->
    [true] longer
   *[other] shorter
} than calculated. { $how }
pattern-figures-cut-flush-flush = cut, flush to flush
pattern-figures-cut-length-one-piece-from = Cut length of one piece, from the spool's flush end to the cut.
pattern-figures-developed-filing-tails-little-more = developed + filing + tails; a little more leaves the spool
pattern-figures-mm = { $flush_mm } mm
pattern-figures-sliver-0-6-wire-thicknesses = A sliver of 0.6 wire thicknesses a piece; 0.15 filed off each end that is filed. { $how }
pattern-figures-marks-jaw-places-matter-more = Marks and jaw places matter more than the calculation: make the first in copper.
pattern-figures-trade-practice-you-can-change = Trade practice. You can change the shares.
pattern-figures-in-piece = in the piece
pattern-figures-spool = spool { $cut_mm }
pattern-figures-wire-in-finished-piece-length = Wire in the finished piece: the length of its middle line, segment by segment.
pattern-figures-straight-angle-id-h-2 = Σ straight + angle·(ID + h)/2 + turns·√((π(D + d))² + p²) + …
pattern-figures-bends-round-legs-straight-hammered = Bends are round and legs are straight. Hammered parts count shorter: they grow by (h/t)^0.3.
pattern-figures-wire-size-1-changes-by = Wire size ± 1 % changes it by about { $spread_mm } mm.
pattern-figures-size-finished-piece-including-wires = Size of the finished piece, { $way }, including the wire's thickness.
pattern-figures-largest-smallest-position-on-wires = largest − smallest position on the wire's surface
pattern-figures-piece-lies-flat-as-drawn = The piece lies flat as drawn.
pattern-figures-depth = depth
pattern-figures-as-drawn = as drawn
pattern-figures-and-off = { $formula }; ± √(Σ of each cause²)
pattern-figures-off-from = ± { $mm } mm in your hand, one standard deviation: { $from }.
pattern-figures-across = across
pattern-figures-from-top-bottom = from top to bottom
pattern-figures-from-front-back = from front to back
pattern-figures-wire-off-spool-for-all = Wire off the spool for all blanks, with trims and rounding.
pattern-figures-blanks-cut-length = blanks × cut length
pattern-figures-spools-end-flush-if-not = The spool's end is flush. If not, add one trim.
pattern-figures-only-rulers = Only the ruler's.
pattern-figures-counting = Counting.
pattern-figures-they-weigh = they weigh
pattern-figures-g-each-finished = { $each } g each, finished
pattern-figures-weight-blanks-as-cut = Weight of the blanks as cut.
pattern-figures-length-area-density = length · area · density
pattern-figures-handbook-density = Handbook density.
pattern-figures-wire-size-1-makes-2 = Wire size ± 1 % makes it ± 2 %.
pattern-figures-metal-table-in-core = Metal table in the core.
pattern-figures-effort-by-hand = effort by hand
pattern-figures-effort-its-hardest-step-compared = Effort of its hardest step, compared with one bend in 20 AWG soft copper.
pattern-figures-mp-mp-20-awg-soft = Mp / Mp(20 AWG soft copper)
pattern-figures-same-tool-grip = The same tool and grip.
pattern-figures-15-from-metal = ± 15 % from the metal.
pattern-figures-pulls-out-shape-at-about = pulls out of shape at about
pattern-figures-pulls-open-at-about = pulls open at about
pattern-figures-starts-open-at = starts to open at { $first }
pattern-figures-f-z-arm = F = share · σ·Z / arm
pattern-figures-joined-four-hinges-yield-before = Joined: four hinges yield before it is pulled long.
pattern-figures-as-hard-as-thick-as = As hard and as thick as its steps leave it. The share is what of its full moment it has taken when it stays open by its own thickness.
pattern-figures-pull-at-which-first-loaded = Pull at which the first loaded bend opens for good. An estimate of plastic collapse for the finished piece, not a rating.
pattern-figures-40-15-from-metal-rest = ± 40 %: 15 from the metal, the rest from how it is pulled and from the model of its opening.
pattern-figures-tightest-bend-uses = tightest bend uses
pattern-figures-share-stretch-metal-has-left = Share of the stretch the metal has left that the tightest bend or the hammering uses.
pattern-figures-strain-step-max-f-strain = strain of the step / max(εf − strain before, 0.06)
pattern-figures-smooth-tools-no-nicks = Smooth tools, no nicks.
pattern-figures-cracking-estimate-above-60-check = Cracking is an estimate: above 60 % check for cracks, above 100 % expect them.
pattern-figures-handbook-fracture-strains = Handbook fracture strains.
pattern-figures-nothing-bent = nothing is bent
pattern-figures-becomes = the { $name } becomes
pattern-figures-from = from { $temper }
pattern-figures-how-hard-ends-up-bending = How hard it ends up: bending, hammering and tumbling harden it like the supplier's tempers; heat makes it soft again.
pattern-figures-temper-what-each-step-adds = temper + what each step adds
pattern-figures-strain-adds-up-step-by = Strain adds up step by step.
pattern-figures-estimate-your-own-tests-may = An estimate. Your own tests may correct it.
pattern-figures-mm-2 = { $flush_mm } ({ $flush_mm2 } mm)

## pattern-form

pattern-form-these-sizes-dont-work-together = These sizes don't work together. Bring them closer to the usual ones.
pattern-form-bends-both-ways-flat-side = { $name } bends both ways, and the flat side of half-round wire can only face inward one way. Use round or square wire.

## from-tools

from-tools-cut-length = cut length
from-tools-mark-on-jaw = mark on the jaw
from-tools-enter-which-pliers-mark-on = Enter which pliers the mark is on.
from-tools-enter-where-on-jaws-how = Enter where on the jaws of the { $own }: how many mm from the tip.
from-tools-have-steps-not-taper-leave = The { $own } have steps, not a taper. Leave the mark out.
from-tools-mm-pliers = { $name } mm pliers
from-tools-unknown-pliers = Unknown pliers.
from-tools-yours = { " " }Yours: { $own }.
from-tools-you-have-no-pliers-called = You have no pliers called { $name }.{ $yours } Write two-jaw pliers by their diameters: 5/7.
from-tools-enter-what-you-have-pliers = Enter what you have: pliers, a mark on the jaw, or the length you cut.
from-tools-no-part-rolled-on-jaw = No part of { $plural } is rolled on a jaw.
from-tools-needs-left-over = It needs { $takes }; { $over } is left over
from-tools-cannot-be-made-from-nearest = { $plural } cannot be made from { $mark }: the nearest needs { $mm }.
from-tools-everything-in-proportion-times-as = everything in proportion, { $scale } times as large
from-tools-cut-from = cut from { $mm }
from-tools-on = on the { $plier }
from-tools-at-mark-from-tip = at the mark { $mm } from the tip
from-tools-usual-size = the usual size

## balled-head-pin

balled-head-pin-balled-head-pin = balled head pin
balled-head-pin-balled-head-pins = balled head pins
balled-head-pin-ball = ball
balled-head-pin-diameter-ball = Diameter of the ball.
balled-head-pin-stem = stem
balled-head-pin-straight-stem = Straight stem.
balled-head-pin-round-head-made-pins-own = A round head made of the pin's own metal, held in the flame until it draws up.
balled-head-pin-0-5-0-8-mm = 0.5 to 0.8 mm. Fine silver and the germanium silvers ball bright; sterling blackens and needs pickle; copper balls with patience. Plated and filled wire must not be melted.
balled-head-pin-ball-pitted = The ball is pitted
balled-head-pin-was-held-in-flame-too = It was held in the flame too long, or the wire was dirty.
balled-head-pin-ball-sits-one-side = The ball sits to one side
balled-head-pin-wire-was-not-upright-let = The wire was not upright. Let it hang straight down as it draws up.
balled-head-pin-stem-limp = The stem is limp
balled-head-pin-heat-annealed-pull-through-smooth = The heat annealed it. Pull it through smooth jaws a few times.
balled-head-pin-ball-no-thicker-than-its = A ball of { $d } is no thicker than its wire of { $f } and stops nothing. Enter a larger ball.
balled-head-pin-ball-falls-off-wire-before = A ball of { $d } falls off wire of { $f } before it draws up. Enter at most { $most }, or use thicker wire.
balled-head-pin-pull-stem-through-smooth-jaws = Pull the stem through smooth jaws: the flame left it soft.

## coil-cap

coil-cap-coil-end-cap = coil end cap
coil-cap-coil-end-caps = coil end caps
coil-cap-for-cord = for cord of
coil-cap-diameter-cord = Diameter of the cord.
coil-cap-with-play = with play of
coil-cap-how-much-wider-bore-than = How much wider the bore is than the cord.
coil-cap-wound-on = wound on
coil-cap-rod = wound on a rod
coil-cap-cord-itself = wound on the cord itself
coil-cap-wound-on-cord-itself-wire = Wound on the cord itself, the wire springs open to its play.
coil-cap-turns = turns
coil-cap-turns-coil-without-lifted-one = Turns of the coil, without the lifted one. If left out, as many as make it three and a half bores high.
coil-cap-closes-end-cord-cord-glued = Closes the end of a cord. The cord is glued or pinched into the coil, and the lifted turn takes the clasp. Two make a cord.
coil-cap-0-6-0-8-mm = 0.6 to 0.8 mm; 1.0 mm is heavy work. Soft to half-hard: the lifted turn must bend up without cracking.
coil-cap-two-caps-differ-in-height = The two caps differ in height
coil-cap-turns-were-counted-differently-or = The turns were counted differently, or one is pressed looser. Press both together and count on the same side.
coil-cap-bail-leans = The bail leans
coil-cap-two-turns-were-lifted-by = Two turns were lifted by mistake. Trim one; the cap is fine.
coil-cap-cord-pulls-out = The cord pulls out
coil-cap-bore-too-wide-wind-on = The bore is too wide. Wind on a thinner rod, springback included.
coil-cap-anchor-left-end-by-its = Anchor the left end by its tail and keep the tension until the wire is clipped.
coil-cap-last-turn = last turn
coil-cap-bail = bail

## cone-cap

cone-cap-cone-end-cap = cone end cap
cone-cap-cone-end-caps = cone end caps
cone-cap-narrow-mouth = narrow mouth
cone-cap-bore-at-narrow-end = Bore at the narrow end.
cone-cap-wide-mouth = wide mouth
cone-cap-bore-at-wide-end = Bore at the wide end.
cone-cap-turns = turns
cone-cap-turns-mouth-mouth-ten-twenty = Turns, mouth to mouth; ten to twenty are usual, for a slant of about one in four if left out.
cone-cap-gathers-several-strands-their-knot = Gathers several strands: their knot hides in the cone, and one wire leaves the narrow mouth. Two make a strand.
cone-cap-0-8-1-3-mm = 0.8 to 1.3 mm. Soft: the turns must lie close on the taper.
cone-cap-turns-spread = Turns spread
cone-cap-unwind-them-little-wind-them = Unwind them a little and wind them again, each against the last.
cone-cap-mouths-ragged = The mouths are ragged
cone-cap-they-were-not-levelled-coarse = They were not levelled: coarse, then fine abrasive, on a flat plate.
cone-cap-two-differ = The two differ
cone-cap-they-were-wound-at-different = They were wound at different places on the taper. Mark both mouths on it.
cone-cap-narrow-mouth-wider-than-wide = the narrow mouth is wider than the wide one. Swap them.
cone-cap-turns-wire-cannot-widen-from = { $turns } turns of wire of { $h } cannot widen from { $small } to { $large }. Take at least { $least } turns.
cone-cap-mark-where-starts-on-taper = Mark where it starts on the taper. If turns spread, unwind a little and wind them again. Tape gives a slippery taper grip.
cone-cap-put-back-on-taper-for = Put it back on the taper for that.
cone-cap-both-mouths = both mouths

## doubled-hook

doubled-hook-double-wire-hook = double-wire hook
doubled-hook-double-wire-hooks = double-wire hooks
doubled-hook-eyes = eyes
doubled-hook-inside-two-eyes-turned-sideways = Inside of the two eyes, turned sideways.
doubled-hook-shank = shank
doubled-hook-straight-from-eyes-bend = Straight from eyes to bend.
doubled-hook-bend = bend
doubled-hook-inside-hooks-bend = Inside of the hook's bend.
doubled-hook-nose = nose
doubled-hook-straight-from-bend-lift = Straight from bend to lift.
doubled-hook-nose-lifted = nose lifted
doubled-hook-how-far-nose-lifted-outward = How far the nose is lifted outward.
doubled-hook-nose-not-lifted = nose not lifted
doubled-hook-tip = tip
doubled-hook-length-lifted-nose-fold = Length of the lifted nose, to the fold.
doubled-hook-fold = fold
doubled-hook-inside-fold-at-nose-once = Inside of the fold at the nose, once it is nipped.
doubled-hook-for-rings = for rings of
doubled-hook-wire-ring-that-takes = Wire of the ring that it takes.
doubled-hook-twice-wire-twice-strength-with = Twice the wire and twice the strength, with a rounded nose and no cut end to catch.
doubled-hook-0-8-1-3-mm = 0.8 to 1.3 mm, a size thinner than a single hook. Soft to half-hard: the fold is hardest on the wire.
doubled-hook-two-wires-part = The two wires part
doubled-hook-they-were-not-pressed-together = They were not pressed together before bending. Fold, press, then bend both as one.
doubled-hook-fold-snaps = The fold snaps
doubled-hook-wire-was-too-hard-fold = The wire was too hard. Fold softer wire.
doubled-hook-ring-does-not-go-in = The ring does not go in
doubled-hook-mouth-narrower-than-rings-wire = The mouth is narrower than the ring's wire. Open the bend or use a thinner ring.
doubled-hook-second-eye = second eye
doubled-hook-hook = hook
doubled-hook-both-eyes = both eyes
doubled-hook-roll-both-at-one-mark = Roll both at one mark on the jaw, so that they match.
doubled-hook-press-two-wires-together-along = Press the two wires together along their length, and pinch the gap at the fold shut.

## eye-pin

eye-pin-eye-pin = eye pin
eye-pin-eye-pins = eye pins
eye-pin-loop = loop
eye-pin-inside-eye = Inside of the eye.
eye-pin-stem = stem
eye-pin-straight-stem = Straight stem.
eye-pin-hammered = hammered to
eye-pin-thickness-eye-hammered-0-leaves = Thickness the eye is hammered to; 0 leaves it round.
eye-pin-eye-not-hammered = eye not hammered
eye-pin-carries-beads-links-them-one = Carries beads and links them: one eye is made first, the other once the beads are on.
eye-pin-0-5-0-8-mm = 0.5 to 0.8 mm (24 to 20 AWG), whatever goes through the beads. Half-hard keeps the stem straight; soft rolls more easily.
eye-pin-eye-leans-over = The eye leans over
eye-pin-was-not-bent-back-bend = It was not bent back. Bend the neck back until the eye sits over the stem.
eye-pin-stem-too-short-for-last = The stem is too short for the last bead
eye-pin-second-loop-needs-wire-too = The second loop needs wire too: leave about its cut length beyond the beads.
eye-pin-bend-back-until-loop-sits = Bend back until the loop sits centred over the stem.
eye-pin-with-mallet-on-both-sides = With a mallet, on both sides.

## figure-eight

figure-eight-figure-eight = figure eight
figure-eight-figure-eights = figure eights
figure-eight-loop = loop
figure-eight-inside-first-loop = Inside of the first loop.
figure-eight-second-loop = second loop
figure-eight-inside-second-loop-same-as = Inside of the second loop; the same as the first if left out.
figure-eight-apart = apart
figure-eight-extra-straight-wire-in-crossing = Extra straight wire in the crossing; 0 lets the loops touch.
figure-eight-loops-touching = loops touching
figure-eight-joins-two-things-that-turn = Joins two things that turn freely against each other. The plainest handmade link.
figure-eight-0-8-1-3-mm = 0.8 to 1.3 mm. Half-hard holds its loops; soft wire is easier and can be hammered flat afterwards.
figure-eight-one-loop-larger = One loop is larger
figure-eight-jaw-slipped-or-crossing-mark = The jaw slipped, or the crossing mark was off the middle of the blank.
figure-eight-loops-not-in-one-plane = The loops are not in one plane
figure-eight-crossing-twisted-straighten-in-smooth = The crossing twisted. Straighten it in smooth jaws until the loops run smoothly into each other.
figure-eight-gap-stays = A gap stays
figure-eight-loop-was-not-rolled-until = The loop was not rolled until its end meets the crossing.
figure-eight-first-loop = first loop
figure-eight-turn-wire-end-for-end = Turn the wire end for end, not over.
figure-eight-until-loops-run-smoothly-into = Until the loops run smoothly into each other, in one plane.

## folded-pair

folded-pair-folded-pair-hooks = folded pair of hooks
folded-pair-folded-pairs-hooks = folded pairs of hooks
folded-pair-loop = loop
folded-pair-inside-loop-drop-hangs-in = Inside of the loop the drop hangs in.
folded-pair-front = front
folded-pair-straight-front-leg-from-loop = Straight front leg, from loop to crown.
folded-pair-crown = crown
folded-pair-inside-bend-that-sits-in = Inside of the bend that sits in the ear.
folded-pair-back = back
folded-pair-back-leg-with-its-tip = Back leg with its tip, from crown to end.
folded-pair-tip-out = tip out
folded-pair-how-far-tips-kicked-outward = How far the tips are kicked outward.
folded-pair-tips-left-straight = tips left straight
folded-pair-tip = tip
folded-pair-length-kicked-tips = Length of the kicked tips.
folded-pair-fold = fold
folded-pair-inside-fold-at-front-that = Inside of the fold at the front that joins the two; it is parted last and falls off.
folded-pair-two-ear-wires-that-cannot = Two ear wires that cannot help matching: one wire folded in half, both crowns bent together, both tips kicked and rounded side by side. The fold at the front stays until the tumbling is done. Then it is cut and the loops are rolled.
folded-pair-0-8-mm-20-awg = 0.8 mm (20 AWG) is usual, 0.64 for small ears, 0.72 in between and hard to buy; 1.0 is too thick for most piercings. Half-hard and done, or soft and hardened on the block afterwards: makers differ.
folded-pair-one-longer = One is longer
folded-pair-fold-was-not-in-middle = The fold was not in the middle. Fold at exactly half the blank, and trim the two tips even.
folded-pair-loops-not-alike = The loops are not alike
folded-pair-they-were-rolled-at-different = They were rolled at different places on the jaw. Mark it, and roll one straight after the other.
folded-pair-works-out-ear = It works out of the ear
folded-pair-tip-not-bent-out-or = The tip is not bent out, or the crown is too wide for the ear.
folded-pair-opens-under-heavy-drop = It opens under a heavy drop
folded-pair-wire-too-soft-or-thin = The wire is too soft or thin. Harden the crown, or use thicker wire.
folded-pair-scratches = It scratches
folded-pair-tip-not-rounded-use-cup = The tip is not rounded. Use a cup burr or emery, one direction, then test it on your own ear.
folded-pair-tip-bend = tip bend
folded-pair-both-necks = both necks
folded-pair-both-front-legs-together-near = Both front legs together, near the fold: what is beyond it becomes the loops.
folded-pair-both-crowns = both crowns
folded-pair-both-tips = both tips
folded-pair-trim-two-tips-even-first = Trim the two tips even first.
folded-pair-while-they-still-joined = While they are still joined.
folded-pair-both-loops = both loops

## hook-clasp

hook-clasp-hook-clasp = hook clasp
hook-clasp-hook-clasps = hook clasps
hook-clasp-eye = eye
hook-clasp-inside-eye-at-its-end = Inside of the eye at its end.
hook-clasp-shank = shank
hook-clasp-straight-from-eye-bend = Straight from eye to bend.
hook-clasp-bend = bend
hook-clasp-inside-hooks-bend = Inside of the hook's bend.
hook-clasp-turned = turned
hook-clasp-how-far-bend-turns-past = How far the bend turns; past 180 the nose closes in, and the mouth is narrower than the bend.
hook-clasp-nose = nose
hook-clasp-straight-from-bend-tip = Straight from bend to tip.
hook-clasp-tip-curled = tip curled to
hook-clasp-inside-curl-tip-rolled-into = Inside of the curl the tip is rolled into, instead of bending it out; 0 leaves it uncurled.
hook-clasp-tip-not-curled = tip not curled
hook-clasp-tip-out = tip out
hook-clasp-how-far-tip-bent-out = How far the tip is bent out; 0 leaves it plain.
hook-clasp-tip-left-plain = tip left plain
hook-clasp-tip = tip
hook-clasp-length-bent-tip = Length of the bent tip.
hook-clasp-for-rings = for rings of
hook-clasp-wire-ring-that-takes = Wire of the ring that it takes.
hook-clasp-hammered = hammered to
hook-clasp-thickness-bend-hammered-0-leaves = Thickness the bend is hammered to; 0 leaves it round.
hook-clasp-bend-not-hammered = bend not hammered
hook-clasp-plainest-clasp-ring-drops-over = The plainest clasp: a ring drops over the hook and the pull keeps it there. Its nose closes in a little; the tip is bent out, or rolled into a small curl.
hook-clasp-1-0-1-6-mm = 1.0 to 1.6 mm (18 to 14 AWG), thicker for larger clasps. Soft wire is easy to form and is hardened afterwards; half-hard needs stronger hands and holds as it is.
hook-clasp-opens = It opens
hook-clasp-too-soft-too-thin-or = Too soft, too thin or too wide. Harden the bend on the block, or use thicker wire.
hook-clasp-ring-does-not-go-in = The ring does not go in
hook-clasp-mouth-narrower-than-rings-wire = The mouth is narrower than the ring's wire. Open the bend or use a thinner ring.
hook-clasp-slips-off-when-slack = It slips off when slack
hook-clasp-nose-short-or-mouth-much = The nose is short, or the mouth much wider than the ring's wire.
hook-clasp-hook = hook
hook-clasp-tip-either-curled-or-bent = A tip is either curled or bent out. Set one of the two to 0.
hook-clasp-eye-tip = eye and tip

## open-ear-wire

open-ear-wire-ear-wire = ear wire
open-ear-wire-ear-wires = ear wires
open-ear-wire-loop = loop
open-ear-wire-inside-loop-drop-hangs-in = Inside of the loop the drop hangs in.
open-ear-wire-front = front
open-ear-wire-straight-front-leg-from-loop = Straight front leg, from loop to crown.
open-ear-wire-crown = crown
open-ear-wire-inside-bend-that-sits-in = Inside of the bend that sits in the ear.
open-ear-wire-back = back
open-ear-wire-back-leg-with-its-tip = Back leg with its tip, from crown to end.
open-ear-wire-tip-out = tip out
open-ear-wire-how-far-tip-kicked-outward = How far the tip is kicked outward.
open-ear-wire-tip = tip
open-ear-wire-length-kicked-tip = Length of the kicked tip.
open-ear-wire-loop-turned = loop turned
open-ear-wire-loop-front = loop to the front
open-ear-wire-loop-back = loop to the back
open-ear-wire-which-way-loop-rolled = Which way the loop is rolled.
open-ear-wire-hammered = hammered to
open-ear-wire-thickness-crown-hammered-0-leaves = Thickness the crown is hammered to; 0 leaves it round.
open-ear-wire-crown-not-hammered = crown not hammered
open-ear-wire-everyday-ear-wire-drop-hangs = The everyday ear wire. The drop hangs in the plain loop, which is opened sideways to take it.
open-ear-wire-0-8-mm-20-awg = 0.8 mm (20 AWG) is usual, 0.64 for small ears, 0.72 in between and hard to buy; 1.0 is too thick for most piercings. Half-hard and done, or soft and hardened on the block afterwards: makers differ.
open-ear-wire-pair-does-not-match = The pair does not match
open-ear-wire-crown-one-slipped-along-jaw = The crown of one slipped along the jaw or rod. Mark both blanks from the same template.
open-ear-wire-works-out-ear = It works out of the ear
open-ear-wire-tip-not-bent-out-or = The tip is not bent out, or the crown is too wide for the ear.
open-ear-wire-opens-under-heavy-drop = It opens under a heavy drop
open-ear-wire-wire-too-soft-or-thin = The wire is too soft or thin. Harden the crown, or use thicker wire.
open-ear-wire-scratches = It scratches
open-ear-wire-tip-not-rounded-use-cup = The tip is not rounded. Use a cup burr or emery, one direction, then test it on your own ear.

## oval-ring

oval-ring-oval-ring = oval ring
oval-ring-oval-rings = oval rings
oval-ring-inside-long-way = inside, long way
oval-ring-long-axis-inside = Long axis inside.
oval-ring-short-way = short way
oval-ring-short-axis-inside = Short axis inside.
oval-ring-links-that-keep-their-direction = Links that keep their direction: the gap stays at the side and the pull at the ends.
oval-ring-0-8-1-3-mm = 0.8 to 1.3 mm. Half-hard where it stays unsoldered.
oval-ring-turns-round-in-chain = It turns round in the chain
oval-ring-two-axes-too-similar = The two axes are too similar.
oval-ring-one-end-rounder-than-other = One end is rounder than the other
oval-ring-oval-rod-was-turned-in = The oval rod was turned in the hand while winding.
oval-ring-ovals-short-way-longer-than = an oval's short way is longer than its long way. Swap them.
oval-ring-wind-on-oval-rod-or = Wind it on an oval rod, or bend a round ring over two.
oval-ring-ring = ring

## paddle-head-pin

paddle-head-pin-paddle-head-pin = paddle head pin
paddle-head-pin-paddle-head-pins = paddle head pins
paddle-head-pin-paddle = paddle
paddle-head-pin-length-finished-paddle = Length of the finished paddle.
paddle-head-pin-thickness = thickness
paddle-head-pin-thickness-hammered = Thickness it is hammered to.
paddle-head-pin-stem = stem
paddle-head-pin-straight-stem = Straight stem.
paddle-head-pin-flat-head-that-stops-bead = A flat head that stops a bead and shows: plain, textured or filed to a shape.
paddle-head-pin-0-5-0-8-mm = 0.5 to 0.8 mm (24 to 20 AWG), whatever goes through the beads. Soft: the paddle is hammered far. The stem is hardened afterwards by pulling it through smooth jaws.
paddle-head-pin-cracks-at-edge = It cracks at the edge
paddle-head-pin-was-hammered-too-far-use = It was hammered too far. Use softer wire, or leave it thicker.
paddle-head-pin-leans = It leans
paddle-head-pin-blows-fell-on-one-side = The blows fell on one side. Turn it over after each few blows.

## plain-head-pin

plain-head-pin-plain-head-pin = plain head pin
plain-head-pin-plain-head-pins = plain head pins
plain-head-pin-fold = fold
plain-head-pin-length-folded-back = Length folded back.
plain-head-pin-stem = stem
plain-head-pin-straight-stem = Straight stem.
plain-head-pin-stops-bead-from-below-without = Stops a bead from below without torch or hammer: the end is folded back on itself and pressed.
plain-head-pin-0-5-0-8-mm = 0.5 to 0.8 mm (24 to 20 AWG), whatever goes through the beads. Soft: the fold is hard on the wire. The stem is hardened afterwards by pulling it through smooth jaws.
plain-head-pin-bead-slips-over = The bead slips over it
plain-head-pin-fold-no-wider-than-two = The fold is no wider than two wires. Choose a bead with a smaller hole, or make a balled or paddle head.
plain-head-pin-snaps-at-fold = It snaps at the fold
plain-head-pin-wire-was-hard-fold-softer = The wire was hard. Fold softer wire, once, and press it together slowly.
plain-head-pin-turn-fold = turn of the fold

## pointed-ear-wire

pointed-ear-wire-pointed-ear-wire = pointed ear wire
pointed-ear-wire-pointed-ear-wires = pointed ear wires
pointed-ear-wire-loop = loop
pointed-ear-wire-inside-loop-drop-hangs-in = Inside of the loop the drop hangs in.
pointed-ear-wire-side = side
pointed-ear-wire-length-each-curved-side-along = Length of each curved side, along the wire.
pointed-ear-wire-bulge = bulge
pointed-ear-wire-how-far-each-side-turns = How far each side turns from end to end.
pointed-ear-wire-point = point
pointed-ear-wire-inside-bend-at-point = Inside of the bend at the point.
pointed-ear-wire-hammered = hammered to
pointed-ear-wire-thickness-sides-hammered-0-leaves = Thickness the sides are hammered to; 0 leaves it round.
pointed-ear-wire-sides-not-hammered = sides not hammered
pointed-ear-wire-pointed-oval-worn-like-small = A pointed oval worn like a small hoop: the point sits above the lobe, and the free end meets the loop below.
pointed-ear-wire-0-8-mm-20-awg = 0.8 mm (20 AWG) is usual, 0.64 for small ears, 0.72 in between and hard to buy; 1.0 is too thick for most piercings. Half-hard and done, or soft and hardened on the block afterwards: makers differ.
pointed-ear-wire-one-side-bows-more = One side bows more
pointed-ear-wire-point-not-in-middle-what = The point is not in the middle of what is left beside the loop. Halve that, not the blank.
pointed-ear-wire-point-cracks = The point cracks
pointed-ear-wire-was-bent-over-sharp-edge = It was bent over a sharp edge. Use a rounded tip, and softer wire.
pointed-ear-wire-pair-does-not-match = The pair does not match
pointed-ear-wire-crown-one-slipped-along-jaw = The crown of one slipped along the jaw or rod. Mark both blanks from the same template.
pointed-ear-wire-side-cannot-turn-degrees-enter = A side of { $d } cannot turn { $bulge } degrees. Enter more than { $least }.
pointed-ear-wire-curve-both-sides-alike-over = Curve both sides alike over a large round before you make the point.

## round-ring

round-ring-round-ring = round ring
round-ring-round-rings = round rings
round-ring-inside = inside
round-ring-inside-closed-ring = Inside of the closed ring.
round-ring-one-ring-match-another-when = One ring to match another, when a coil is not worth winding. Many rings are planned under Rings.
round-ring-0-8-1-3-mm = 0.8 to 1.3 mm for most work. Soft if it will be fused or soldered; half-hard holds better unsoldered.
round-ring-ends-stand-apart = The ends stand apart
round-ring-bend-sprang-back-bend-past = The bend sprang back. Bend past closed, then return.
round-ring-flat-place-beside-gap = A flat place beside the gap
round-ring-last-bit-at-each-end = The last bit at each end was not bent. Start and finish at the very end of the wire.
round-ring-ring = ring

## s-clasp

s-clasp-s-clasp = S clasp
s-clasp-s-clasps = S clasps
s-clasp-bends = bends
s-clasp-inside-both-large-bends = Inside of both large bends.
s-clasp-sides = sides
s-clasp-one-side-closed-for-good = one side closed for good
s-clasp-both-sides-open = both sides open
s-clasp-whether-one-side-closed-on = Whether one side is closed on the piece it hangs from.
s-clasp-body = body
s-clasp-straight-between-bends = Straight between the bends.
s-clasp-turned = turned
s-clasp-how-far-open-side-turns = How far an open side turns.
s-clasp-noses = noses
s-clasp-straight-from-each-bend-its = Straight from each bend to its end curl.
s-clasp-end-curls = end curls
s-clasp-inside-small-curls-at-ends = Inside of the small curls at the ends.
s-clasp-for-rings = for rings of
s-clasp-wire-ring-that-takes = Wire of the ring that it takes.
s-clasp-hammered = hammered to
s-clasp-thickness-bends-hammered-0-leaves = Thickness the bends are hammered to; 0 leaves it round.
s-clasp-bends-not-hammered = bends not hammered
s-clasp-hooks-into-ring-at-each = Hooks into a ring at each end of a necklace; one side is usually closed for good.
s-clasp-1-0-1-6-mm = 1.0 to 1.6 mm (18 to 14 AWG), thicker for larger clasps. Soft wire is easy to form and is hardened afterwards; half-hard needs stronger hands and holds as it is.
s-clasp-opens = It opens
s-clasp-too-soft-too-thin-or = Too soft, too thin or too wide. Harden the bend on the block, or use thicker wire.
s-clasp-ring-does-not-go-in = The ring does not go in
s-clasp-mouth-narrower-than-rings-wire = The mouth is narrower than the ring's wire. Open the bend or use a thinner ring.
s-clasp-one-hook-larger = One hook is larger
s-clasp-quarter-marks-were-off-mark = The quarter marks were off. Mark at a quarter, half and three quarters of what is left between the curls.
s-clasp-first-curl = first curl
s-clasp-first-nose = first nose
s-clasp-first-bend = first bend
s-clasp-second-bend = second bend
s-clasp-second-nose = second nose
s-clasp-second-curl = second curl
s-clasp-closed-side = closed side
s-clasp-second-hook = second hook
s-clasp-first-hook = first hook
s-clasp-both-end-curls = both end curls
s-clasp-hang-in-its-piece-before = Hang it in its piece before you close it: the curl ends up against the body.

## s-link

s-link-s-link = S link
s-link-s-links = S links
s-link-bends = bends
s-link-inside-two-large-bends = Inside of the two large bends.
s-link-turned = turned
s-link-how-far-each-large-bend = How far each large bend turns.
s-link-end-curls = end curls
s-link-inside-small-curls-at-ends = Inside of the small curls at the ends.
s-link-hammered = hammered to
s-link-thickness-bends-hammered-0-leaves = Thickness the bends are hammered to; 0 leaves it round.
s-link-bends-not-hammered = bends not hammered
s-link-face = face
s-link-face-left-plain = face left plain
s-link-face-textured-edges-bevelled = face textured, edges bevelled
s-link-how-its-faces-finished-once = How its faces are finished, once they are flat.
s-link-decorative-link-with-its-ends = A decorative link with its ends curled back the other way, so that nothing catches.
s-link-0-8-1-3-mm = 0.8 to 1.3 mm. Half-hard, or soft and hammered.
s-link-s-lopsided = The S is lopsided
s-link-middle-mark-was-off-both = The middle mark was off. Both bends start from the middle of what the curls leave.
s-link-curls-point-wrong-way = The curls point the wrong way
s-link-they-turn-against-large-bend = They turn against the large bend beside them.
s-link-first-curl = first curl
s-link-first-bend = first bend
s-link-second-bend = second bend
s-link-second-curl = second curl
s-link-both-curls = both curls
s-link-two-jaw-loop-pliers-make = Two-jaw loop pliers make matching curls and bends.
s-link-first-face = first face
s-link-edges-first-face = edges of the first face
s-link-other-face = other face
s-link-edges-other-face = edges of the other face

## shaped-ring

shaped-ring-shaped-ring = shaped ring
shaped-ring-shaped-rings = shaped rings
shaped-ring-sides = sides
shaped-ring-four-sides = four sides
shaped-ring-six-sides = six sides
shaped-ring-eight-sides = eight sides
shaped-ring-how-many-flat-sides = How many flat sides.
shaped-ring-across-flats = across flats
shaped-ring-inside-across-two-flats = Inside, across two flats.
shaped-ring-corner = corner
shaped-ring-inside-radius-corners = Inside radius of the corners.
shaped-ring-rings-with-shape-their-own = Rings with a shape of their own, for frames and links that lie flat against each other.
shaped-ring-1-0-1-6-mm = 1.0 to 1.6 mm. Soft: the corners are hard on the wire.
shaped-ring-corners-crack = The corners crack
shaped-ring-their-radius-too-small-for = Their radius is too small for this temper. Use softer wire, or round them more.
shaped-ring-sides-bow = The sides bow
shaped-ring-they-were-bent-between-corners = They were bent between corners. Press them straight in smooth jaws.
shaped-ring-corners-would-leave-no-flats = the corners would leave no flats.
shaped-ring-half-flat = half a flat
shaped-ring-work-from-middle-outwards-on = Work from the middle outwards, on a rod of the shape if you have one.
shaped-ring-ring = ring

## smallest-ring

smallest-ring-smallest-ring = smallest ring
smallest-ring-smallest-rings = smallest rings
smallest-ring-turns = turns
smallest-ring-turns-more-than-one-makes = Turns; more than one makes a bead of wire.
smallest-ring-tiny-spacers-stops-bead-at = Tiny spacers and stops, and the bead at the end of a cord: as small as this wire can be wound.
smallest-ring-any-wire-that-survives-bend = Any wire that survives the bend: soft. Wind it on a length of itself.
smallest-ring-cracks = It cracks
smallest-ring-wire-harder-than-soft-or = The wire is harder than soft, or was worked before. Use soft wire.
smallest-ring-will-not-come-off = It will not come off
smallest-ring-was-wound-too-tight-on = It was wound too tight on bent wire. Wind on a straight, waxed length.
smallest-ring-its-rod-straight-piece-same = Its rod is a straight piece of the same wire.
smallest-ring-ring = ring

## spiral-hook

spiral-hook-spiral-hook = spiral hook
spiral-hook-spiral-hooks = spiral hooks
spiral-hook-middle = middle
spiral-hook-opening-left-in-middle-spiral = Opening left in the middle of the spiral; 0 squeezes it shut.
spiral-hook-middle-squeezed-shut = middle squeezed shut
spiral-hook-spiral-turns = spiral turns
spiral-hook-turns-spiral = Turns of the spiral.
spiral-hook-ring-space = ring space
spiral-hook-inside-space-bent-beside-spiral = Inside of the space bent beside the spiral for its ring; 0 leaves it out.
spiral-hook-no-ring-space = no ring space
spiral-hook-shank = shank
spiral-hook-straight-from-spiral-or-its = Straight from the spiral or its ring space to the bend.
spiral-hook-bend = bend
spiral-hook-inside-hooks-bend = Inside of the hook's bend.
spiral-hook-catch = catch
spiral-hook-straight-part-where-ring-sits = Straight part where the ring sits, from bend to lift.
spiral-hook-tip-lifted = tip lifted
spiral-hook-how-far-tip-lifted-away = How far the tip is lifted away.
spiral-hook-tip = tip
spiral-hook-length-lifted-tip = Length of the lifted tip.
spiral-hook-for-rings = for rings of
spiral-hook-wire-ring-that-takes = Wire of the ring that it takes.
spiral-hook-hook-that-its-own-ornament = A hook that is its own ornament: the cord or chain hangs from the spiral, and the ring sits in the catch.
spiral-hook-1-0-1-6-mm = 1.0 to 1.6 mm (18 to 14 AWG), thicker for larger clasps. Soft wire is easy to form and is hardened afterwards; half-hard needs stronger hands and holds as it is.
spiral-hook-end-too-short-for-hook = The end is too short for the hook
spiral-hook-spiral-loose-keep-each-turn = The spiral is loose. Keep each turn against the last, or it uses up the rest of the wire.
spiral-hook-ring-slips-out = The ring slips out
spiral-hook-catch-space-shorter-than-rings = The catch space is shorter than the ring's wire is thick, or the tip is not lifted.
spiral-hook-opens = It opens
spiral-hook-too-soft-too-thin-or = Too soft, too thin or too wide. Harden the bend on the block, or use thicker wire.
spiral-hook-middle-spiral = middle of the spiral
spiral-hook-hook = hook

## trefoil-head-pin

trefoil-head-pin-trefoil-head-pin = trefoil head pin
trefoil-head-pin-trefoil-head-pins = trefoil head pins
trefoil-head-pin-loops = loops
trefoil-head-pin-inside-each-three-loops = Inside of each of the three loops.
trefoil-head-pin-neck = neck
trefoil-head-pin-inside-small-bend-from-loops = Inside of the small bend from the loops to the stem.
trefoil-head-pin-stem = stem
trefoil-head-pin-straight-stem = Straight stem.
trefoil-head-pin-open-clover-leaf-that-stops = An open clover leaf that stops a bead from below, and is an ornament too.
trefoil-head-pin-0-5-0-8-mm = 0.5 to 0.8 mm (24 to 20 AWG), whatever goes through the beads. Half-hard keeps the stem straight; soft rolls more easily.
trefoil-head-pin-three-loops-differ = The three loops differ
trefoil-head-pin-they-were-rolled-at-different = They were rolled at different places on the jaw. Mark it once.
trefoil-head-pin-leans = It leans
trefoil-head-pin-last-bend-did-not-bring = The last bend did not bring the stem under the third loop.
trefoil-head-pin-first-loop = first loop
trefoil-head-pin-way-over = way over
trefoil-head-pin-third-loop = third loop
trefoil-head-pin-way-down = way down
trefoil-head-pin-other-way-round-two-make = The other way round: the two make a figure eight.
trefoil-head-pin-in-waist-eight-over-its = In the waist of the eight, over its crossing.
trefoil-head-pin-bend-until-stem-hangs-under = Bend until the stem hangs under the third loop.

## wrapped-ear-wire

wrapped-ear-wire-wrapped-ear-wire = wrapped ear wire
wrapped-ear-wire-wrapped-ear-wires = wrapped ear wires
wrapped-ear-wire-loop = loop
wrapped-ear-wire-inside-wrapped-loop = Inside of the wrapped loop.
wrapped-ear-wire-wraps = wraps
wrapped-ear-wire-wraps-under-loop = Wraps under the loop.
wrapped-ear-wire-wraps-counted-as = wraps counted as
wrapped-ear-wire-how-wraps-counted = How the wraps are counted.
wrapped-ear-wire-front-drop = front drop
wrapped-ear-wire-front-leg-from-crown-down = Front leg, from the crown down to the loop's neck.
wrapped-ear-wire-crown = crown
wrapped-ear-wire-inside-bend-that-sits-in = Inside of the bend that sits in the ear.
wrapped-ear-wire-back = back
wrapped-ear-wire-back-leg-with-its-tip = Back leg with its tip, from crown to end.
wrapped-ear-wire-tip-out = tip out
wrapped-ear-wire-how-far-tip-kicked-outward = How far the tip is kicked outward.
wrapped-ear-wire-tip = tip
wrapped-ear-wire-length-kicked-tip = Length of the kicked tip.
wrapped-ear-wire-hammered = hammered to
wrapped-ear-wire-thickness-crown-hammered-0-leaves = Thickness the crown is hammered to; 0 leaves it round.
wrapped-ear-wire-crown-not-hammered = crown not hammered
wrapped-ear-wire-ear-wire-whose-loop-cannot = An ear wire whose loop cannot open: hang the drop before the wraps are closed. The long front lets it swing below the lobe.
wrapped-ear-wire-0-8-mm-20-awg = 0.8 mm (20 AWG) is usual, 0.64 for small ears, 0.72 in between and hard to buy; 1.0 is too thick for most piercings. Half-hard and done, or soft and hardened on the block afterwards: makers differ.
wrapped-ear-wire-pair-does-not-match = The pair does not match
wrapped-ear-wire-crown-one-slipped-along-jaw = The crown of one slipped along the jaw or rod. Mark both blanks from the same template.
wrapped-ear-wire-works-out-ear = It works out of the ear
wrapped-ear-wire-tip-not-bent-out-or = The tip is not bent out, or the crown is too wide for the ear.
wrapped-ear-wire-opens-under-heavy-drop = It opens under a heavy drop
wrapped-ear-wire-wire-too-soft-or-thin = The wire is too soft or thin. Harden the crown, or use thicker wire.
wrapped-ear-wire-wraps-differ-from-others = The wraps differ from the other's
wrapped-ear-wire-they-were-counted-differently-count = They were counted differently. Count both the same way, on the same side.
wrapped-ear-wire-tip-bend = tip bend
wrapped-ear-wire-hang-drop-in-first-or = Hang the drop in first, or open the drop's own loop afterwards.

## wrapped-loop-link

wrapped-loop-link-wrapped-loop-link = wrapped loop link
wrapped-loop-link-wrapped-loop-links = wrapped loop links
wrapped-loop-link-loops = loops
wrapped-loop-link-inside-both-loops = Inside of both loops.
wrapped-loop-link-room-for-bead = room for a bead of
wrapped-loop-link-straight-wire-left-between-wraps = Straight wire left between the wraps.
wrapped-loop-link-wraps = wraps
wrapped-loop-link-wraps-at-each-end = Wraps at each end.
wrapped-loop-link-wraps-counted-as = wraps counted as
wrapped-loop-link-how-wraps-counted = How the wraps are counted.
wrapped-loop-link-carries-bead-between-two-loops = Carries a bead between two loops that cannot open. Hang in the neighbours before you close the second wraps.
wrapped-loop-link-0-5-0-8-mm = 0.5 to 0.8 mm, whatever goes through the bead. Soft to half-hard: hard wire won't wrap closely.
wrapped-loop-link-bead-rattles = The bead rattles
wrapped-loop-link-room-longer-than-bead-measure = The room is longer than the bead. Measure the bead, not the hole.
wrapped-loop-link-wraps-spread = The wraps spread
wrapped-loop-link-they-were-pulled-along-stem = They were pulled along the stem. Keep each turn against the last, then press them together.
wrapped-loop-link-cut-end-scratches = A cut end scratches
wrapped-loop-link-tail-was-not-trimmed-flush = The tail was not trimmed flush and pressed in.
wrapped-loop-link-first-loop = first loop
wrapped-loop-link-second-loop = second loop
wrapped-loop-link-first-wraps = first wraps
wrapped-loop-link-thread-bead-on-first-hang = Thread the bead on first, and hang in what the loop is to hold.
wrapped-loop-link-second-wraps = second wraps

## pattern-mark

pattern-mark-from-tip = { $tool }, { $at } from the tip
pattern-mark-from-right = { $ruler } from the right
pattern-mark-from-fold = { $ruler } from the fold

## pattern-measure

pattern-measure-gap = gap of the { $what }
pattern-measure-wire = wire

## pattern

pattern-loss-at-end = loss at an end
pattern-tail = tail
pattern-allowance = allowance
pattern-1-pair = 1 pair
pattern-1-piece = 1 piece
pattern-pairs = { $n } pairs
pattern-pieces = { $n } pieces
pattern-has-no-known = { $name } has no { $name2 }.{ $name3 } Known: { $known }.
pattern-pieces-cannot-be-planned-at = { $pieces_n } pieces cannot be planned at once. Enter 1 to { $MOST_PIECES }.

## parameter

parameter-is = { $i } is { $way }
parameter-between-two-options-for = { $value } is between two options for the { $label }. { $ways }.

## pattern-part

pattern-part-full-turns = full turns
pattern-part-wires-seen-side-by-side = wires seen side by side
pattern-part-ends-hammered = ends hammered to
pattern-part-thickness-ends-hammered-before-they = Thickness the ends are hammered to before they are rolled; 0 leaves them round.
pattern-part-ends-not-hammered = ends not hammered
pattern-part-loop-inside-needs-straight-close = A loop of { $inside_mm } inside needs { $least } of straight { $leg } to close on, and has { $length_mm }. Lengthen it, or roll a smaller loop.
pattern-part-tip-bend = tip bend
pattern-part-wraps-cover-more-than-enter = The wraps cover { $cover_mm }, more than the { $stem } of { $length_mm }. Enter at least { $cover_mm2 }, or fewer wraps.

## reach

reach-in-way-jaw-here-make = The { $what } is { $by_mm } in the way of the jaw here. Make this bend before it, or give the two more room.

## remake

remake-pull-wire-straight-10-times = pull the wire straight 10 times
remake-tap-with-mallet-on-both = tap it with a mallet on both sides
remake-tumble-for-two-hours = tumble it for two hours
remake-fuse-what-closes = fuse what closes
remake-solder-what-closes = solder what closes
remake-min-unattended = { " " }and { $alone } min unattended
remake-cut-each-min-for-all = cut { $cut } each{ $holds }; { $hands } min for all{ $alone }.

## pattern-route

pattern-route-right-end = right end
pattern-route-lay-on-drawing-or-second = Lay it on the drawing, or the second on the first: same length, loops closed, no burr you can feel.

## pattern-sentence

pattern-sentence-in = { $fraction } in
pattern-sentence-in-2 = { $mm_per_inch } in
pattern-sentence-mm = { $shown } mm
pattern-sentence-1-pair = 1 pair of
pattern-sentence-pairs = { $n } pairs of
pattern-sentence-single = { $n } single
pattern-sentence-rolled-on = , rolled on the{ " " }

## pattern-sheet

pattern-sheet-none-listed-under-tools-yet = None are listed under Tools yet
pattern-sheet-yours = Yours: { $own }
pattern-sheet-there-no-pliers-called = There are no pliers called { $name }. { $known }.
pattern-sheet-rolled-from-end = rolled from the end
pattern-sheet-marks = { $n } marks
pattern-sheet-mark-at = mark at { $marks }
pattern-sheet-cut = cut { $flush_mm }, { $marks }

## transfer

transfer-every-dimension-times-what-was = Every dimension is { $ratio } times what it was, because the wire is that much thicker.
transfer-dimensions-stay-wire-same-thickness = The dimensions stay: the wire is the same thickness.
transfer-what-your-trials-showed-kept = What your trials showed is kept: its blank is { $allowance_mm } { $longer ->
    [true] longer
   *[other] shorter
} than calculated.
transfer-cut-each-instead = Cut { $new } each instead of { $old }.
transfer-one-piece-weighs-g-instead = One piece weighs { $new } g instead of { $old }.
transfer-tightest-bend-uses-stretch-metal = The tightest bend uses { $new } % of the stretch the metal has left, instead of { $old } %.
transfer-pulls-open-at-about-instead = It pulls open at about { $b } instead of { $a }.
transfer-bend-takes-times-effort = A bend takes { $new } times the effort.

## writing

writing-tail = tail

## measure

measure = measure
measure-height = height
measure-width = width
measure-blank = blank

## about

about = check
about-closes = closes
about-wire-through-wire = wire through wire
about-mouth = mouth
about-bore = bore
about-piercing = piercing
about-skin = skin
about-stem = stem
about-tip = tip
about-melts = melts
about-strain = strain

## family

family = family of findings
family-rings = rings
family-ear-wires = ear wires
family-pins = pins
family-links = links
family-clasps = clasps
family-ends = ends

## worn

worn = place where a piece is worn
worn-ear = in the ear
worn-skin = against skin
worn-between = between parts

## measures

measures = kind of dimension
measures-inside = inside
measures-bend = bend
measures-ball = ball
measures-length = length
measures-gap = gap
measures-wire = wire

## unit

unit = unit of a parameter
unit-mm = mm
unit-deg = °
unit-turns = turns
unit-choice = { "" }

## spread-from

spread-from = cause of a spread
spread-from-metal = metal
spread-from-cut = cut length
spread-from-marks = start of bends
spread-from-jaw = place on the jaw
spread-from-angles = angles by eye
spread-from-hand = tool and caliper

## segment

segment-wire = wire
blank-end = end

## part

part-back = back
part-bail = bail
part-ball = ball
part-bend = bend
part-bends = bends
part-body = body
part-catch = catch
part-coil = coil
part-cone = cone
part-corner = corner
part-corners = corners
part-counter-loop = counter-loop
part-crossing = crossing
part-crown = crown
part-crowns = crowns
part-curls = curls
part-edges = edges
part-end = end
part-eye = eye
part-flat = flat
part-fold = fold
part-front = front
part-hook = hook
part-lift = lift
part-link = link
part-loop = loop
part-loops = loops
part-neck = neck
part-nose = nose
part-oval = oval
part-paddle = paddle
part-point = point
part-ring = ring
part-shank = shank
part-sides = sides
part-spiral = spiral
part-stem = stem
part-tail = tail
part-tip = tip
part-tips = tips
part-turns = turns
part-wire = wire
part-wraps = wraps
