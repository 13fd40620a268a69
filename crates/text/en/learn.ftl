## cause

cause-mark-slipped-jaw = The mark slipped { $by } { $up ->
    [true] up
   *[other] down
} the jaw.
cause-far-end = far end
cause-near-end = near end
cause-centre-bend-was-off-by = The centre of the bend was off by { $by }, towards the { $value }.
cause-blank-was-too = The blank was { $by } too { $long ->
    [true] long
   *[other] short
}.
cause-loops-were-left-short-closed = Loops were left { $amount }° short of closed.
cause-wire-than-its-label-about = The wire is { $per_cent } { $thicker ->
    [true] thicker
   *[other] thinner
} than its label: about { $amount } of a gauge.
cause-wire-springs-back-than-planned = The wire springs back { $per_cent } { $more ->
    [true] more
   *[other] less
} than planned: it is { $harder ->
    [true] harder
   *[other] softer
} than its label says.
cause-rod-than-its-label = The rod is { $by } { $thicker ->
    [true] thicker
   *[other] thinner
} than its label.
cause-draw-mark-again-hold-wire = Draw the mark again. Hold the wire { $by } nearer the { $towards_tip ->
    [true] tip
   *[other] base
}.
cause-start-bend-nearer-press-mark = Start the bend { $by } nearer the { $value }, and press the mark into the middle of the jaw.
cause-cut-next-one-check-how = Cut the next one { $by } { $shorter ->
    [true] shorter
   *[other] longer
}. Check how much the trimming took.
cause-keep-rolling-until-end-meets = Keep rolling until the end meets the stem: relax the wrist, regrip, roll again.
cause-measure-wire-on-spool-enter = Measure the wire on the spool and enter its real size in the plan.
cause-measure-coil-this-lot-so = Measure a coil of this lot, so that plans know how it springs back.
cause-measure-rod-where-coil-was = Measure the rod where the coil was, and correct it under Tools.
cause-third = a third
cause-half = half
cause-whole = the whole
cause-times-step = { $n } times the step
cause-nothing-measured-yet-points-cause = Nothing measured yet points to a cause. Measure the piece first.
cause-no-one-cause-explains-two = No one cause explains it. Two together would: { $text } { $told2 }
cause-measure-as-well = Measure the { $what } as well.
cause-measure-again-look-for-something = Measure it again, and look for something else: another tool, a bend in the wrong place.
cause-none-usual-causes-explains = None of the usual causes explains it. { $then }
cause-as-even-as-hands-can = As even as hands can make it: nothing here needs a cause.
cause-very-likely = Very likely: { $text }
cause-probably = Probably: { $text }
cause-measure-tell-them-apart = Measure the { $what } to tell them apart.
cause-no-other-measurement-this-piece = No other measurement of this piece tells them apart. Make one more, carefully, and measure it.
cause-two-causes-look-alike-here = Two causes look alike here: { $cause } or { $cause2 }. { $which }
cause-or-your-hands-vary-this = { $text } Or your hands vary this much.

## chart

chart-nearly-all-would-pass = nearly all would pass
chart-100-would-pass = { $of_100 } of 100 would pass
chart-hardly-any-would-pass = hardly any would pass
chart-20-would-pass = { $of_20 } of 20 would pass
chart-number-stands-out-where-others = Number { $n } stands out: { $mm } where the others are about { $middle }. Measure it again. If it is right, something happened there.
chart-in-row-than-average-something = { $run } in a row are { $larger ->
    [true] larger
   *[other] smaller
} than average: something changed and stayed. A new rod, another spool, a mark rubbed off?
chart-every-other = Every other piece differs by { $apart }: two jaws, two hands or two ends used by turns? Keep to one, or sort them.
chart-in-row-each-than-one = { $run } in a row are each { $larger ->
    [true] larger
   *[other] smaller
} than the one before: something is drifting. The { $what } slips along the jaw, the wire gets harder along the spool, or the tool wears.

## learn-check

learn-check-enter-name-for-measurement = Enter a name for the measurement.
learn-check-number-pieces = number of pieces
learn-check-wire-off-spool = wire off the spool
learn-check-trial-blanks-for-findings-only = Trial blanks are for findings only. For rings, measure a coil.
learn-check-this-piece-has-no-dimension = This piece has no dimension { $key }. It has: { $known }.
learn-check-piece = piece
learn-check-this-piece-has-no-dimension-2 = This piece has no dimension { $key }.
learn-check-measure = measure
learn-check-grade = grade
learn-check-enter-whole-number-as-grade = Enter a whole number as the grade.
learn-check-its-readings-belong-piece-as = Its readings belong to the piece as it was. Start a new measurement for another piece.
learn-check-number-already-measured-so-there = Number { $last } is already measured, so there are at least that many.

## dimension

dimension-not-coil-measure-finished-piece = A { $name } is not a coil. Measure the finished piece.
dimension-from = { $wanted }, from { $least } to { $most }
dimension-inner-jaws-across-turn-third = Inner jaws across the { $what }. Turn it a third each time: three readings.
dimension-inner-jaws-across-at-its = Inner jaws across the { $what } at its widest. Take two readings.
dimension-outer-jaws-across-turn-quarter = Outer jaws across the { $what }. Turn it a quarter and read again: two readings.
dimension-outer-jaws-along-without-squeezing = Outer jaws along the { $what }, without squeezing.
dimension-feel-for-with-slip-paper = Feel for the { $what } with a slip of paper, or use the inner jaws. Enter 0 if you find none.
dimension-outer-jaws-across-wire-where = Outer jaws across the wire where it is straight and unmarked. Turn it and read again.
dimension-lay-on-glass-look-along = Lay it on glass and look along it:
dimension-lies-flat = lies flat
dimension-rocks-little = rocks a little
dimension-bent = is bent
dimension-scratches = scratches
dimension-round = round
dimension-catches = catches
dimension-smooth = smooth
dimension-draw-fingertip-over-every-end = Draw a fingertip over every end:
dimension-draw-tip-over-back-hand = Draw the tip over the back of the hand:
dimension-gap-ring = gap of the ring
dimension-coil = coil { $coil_inside_diameter_mm }
dimension-passes = The { $what } passes.
dimension-put-in-scrap-or-keep = Put it in the { $metal } scrap, or keep it for practice.
dimension-open-sideways-go-little-past = Open it sideways, go a little past, come back until the ends meet. It is { $by } too wide now.
dimension-wire-than-planned-another-gauge = The wire is { $by } { $thicker ->
    [true] thicker
   *[other] thinner
} than planned: another gauge, or stretched. Check the spool's label.
dimension-coil-than-planned-before-you = The coil is { $by } { $larger ->
    [true] larger
   *[other] smaller
} than planned. Before you cut it, choose the rod this lot needs: see Springback.
dimension-too-large = too large
dimension-too-small = too small
dimension-too-far-off-fix = The { $what } is { $by } { $value }: too far off to fix.
dimension-less-wire-used = less wire is used
dimension-more-wire-used = more wire is used
dimension-bend-again-on-tool-about = Bend it again on a tool about { $by } { $thinner ->
    [true] thinner
   *[other] thicker
}. { $around } { $value2 }, and the end moves by the same.
dimension-too-large-cannot-shrink = The { $what } is { $by } too large and cannot shrink.
dimension-heat-again-until-has-drawn = Heat the { $what } again until it has drawn in enough wire: { $by } is missing across it, and the piece gets shorter. Hold it in tongs and shield your eyes.
dimension-open-trim-off-its-end = Open it, trim { $around } off its end and roll it again nearer the tip of the jaw.
dimension-open-roll-again-nearer-base = Open it and roll it again nearer the base of the jaw. It uses { $around } more wire.
dimension-open-file-or-cut-off = Open it, file or cut { $around } off one end, and close it again.
dimension-push-up-taper-until-has = Push it up a taper until it has grown { $by }, then flatten it.
dimension-ring-too-small-cannot-grow = The ring is { $by } too small and cannot grow that much. Use it where smaller rings go.
dimension-trim-off-free-end-or = Trim { $by } off a free end, or bend it again from the next loop.
dimension-too-short-wire-cannot-be = The { $what } is { $by } too short, and wire cannot be put back. Pair it with one as short.
dimension-press-flat-between-smooth-jaws = Press it flat between smooth jaws, or tap it with a mallet on the block, the same on both sides.
dimension-file-end-one-way-or = File the end one way, or draw it across fine emery, until no fingertip feels it.
dimension-round-tip-in-cup-burr = Round the tip in the cup burr, then smooth it on fine emery.

## doubt

doubt-should-measure-from-not = The { $what } should measure from { $least_mm } to { $most_mm }, not { $mm }.
doubt-did-you-mean = { $expected } Did you mean { $meant }?
doubt-check-save-again-if-right = { $expected } Check it, and save it again if it is right.

## half-made

half-made-has-steps-there-no-step = It has { $all } steps; there is no step { $done_n }.
half-made-anneal-once-straight-this-uses = { " " }Anneal it once it is straight: this uses most of the stretch the metal has left. (Estimate.)
half-made-this-uses-most-stretch-metal = { " " }This uses most of the stretch the metal has left. (Estimate.)

## jaw

jaw-inside-loop = inside of the loop
jaw-place-on-jaw = place on the jaw
jaw-this-wire-springs-straight-before = This wire springs straight before it makes such a loop. Roll a smaller one, or use softer wire.
jaw-only-tapered-jaws-calibrated-with = Only tapered jaws are calibrated with loops. On stepped jaws, measure each step.
jaw-jaw-not-tapered-slipping-along = The jaw is not tapered: slipping along it changes nothing.
jaw-measure-at-least-one-loop = Measure at least one loop rolled at the mark.
jaw-as-far-as-these-loops = As far as these loops show, the mark is still right.
jaw-towards-base = towards the base
jaw-towards-tip = towards the tip
jaw-wire-really-sits-mark-slipped = The wire really sits { $off } { $way } of the mark: it slipped, the mark was redrawn elsewhere, or the jaw is worn. Draw the mark { $off } nearer the { $back }, or calibrate the jaw with two loops. A loop changes by { $taper } for each millimetre.

## lot

lot-not-measured-yet-so-usual = Not measured yet, so the usual ± { $handbook_spread } applies. Measure one coil, let go and not cut, or make a pull test.
lot-one-measurement-doesnt-fit-this = { " " }The one measurement doesn’t fit this metal. Measure it again, and the rod with the caliper.
lot-all-larger-than-metal-gives = { " " }All coils came out larger than this metal can spring. Measure the rod with the caliper and correct it under Tools.
lot-all-smaller-than-metal-gives = { " " }All coils came out smaller than this metal can give. Measure the rod with the caliper and correct it under Tools.
lot-rod-not-among-tools = { " " }The rod of these coils is not among your tools now. Measure one coil on a rod that is.
lot-two-measurements-disagree-measure-third = { " " }The two measurements disagree: measure a third coil to see which is right.
lot-one-reading-looks-wrong-measure = { " " }One reading looks wrong: measure it again, or set it aside. Plans hardly follow it.
lot-some-readings-look-wrong-measure = { " " }Some readings look wrong: measure them again, or set them aside. Plans hardly follow them.
lot-nothing-learned-yet-so-usual = Nothing learned yet, so the usual ± { $handbook_spread } applies.{ $odd }
lot-as = as
lot-more-than = { $off } more than
lot-less-than = { $off } less than
lot-one-measurement = one measurement
lot-measurements = { $measured_n } measurements
lot-springs-back-usual-for-this = It springs back { $against } usual for this metal, ± { $spread } (was ± { $handbook_spread }; { $n }).
lot-wire-gets-along-spool-metre = { " " }The wire gets { $stiffer ->
    [true] stiffer
   *[other] softer
} along the spool, { $per_m } % a metre. Plans use the value at the last measurement.

## measured

measured-disagree-take-third-reading-see = { $odd } disagree: take a third reading to see which is right.
measured-disagree-set-aside-those-that = { $odd } disagree: set aside those that are wrong.
measured-doesnt-agree-with-others-isnt = { $one } doesn’t agree with the others and isn’t counted: set it aside, or measure once more.
measured-dont-agree-with-others-arent = { $odd } don’t agree with the others and aren’t counted: set them aside, or measure once more.

## pairs

pairs-set-cannot-be-matched-enter = A set of { $size } cannot be matched. Enter 2 to 12.
pairs-pieces-too-many-match-at = { $pieces } pieces are too many to match at once. Enter at most { $MOST_PIECES }.
pairs-enter-for-at-least-one = Enter for at least one dimension how much a set may differ, above 0 mm.
pairs-piece-has-measurements-but-compared = Piece { $piece_n } has { $mm } measurements, but { $tolerance_mm } are compared. Measure what is missing, or leave it out.

## practice

practice-draw-one-line-round-jaw = Draw one line round the jaw with a pen. Cut ten blanks to the first. Roll each loop at the line, its end level with the jaw, and relax your wrist between turns. Measure them in the order you made them.
practice-cut-ten-blanks-first-roll = Cut ten blanks to the first. Roll all the eyes, then bend all the hooks over the same step. Lay each on the drawing. Measure the overall length, in the order you made them.
practice-wind-twenty-turns-by-hand = Wind twenty turns by hand, each against the last, tight to the end. Hold it to the light: no gap should show. Let go, slide it off, and measure its inside at ten places.
practice-your-grip-wanders-along-jaw = Your grip wanders { $spread_mm } along the jaw.
practice-your-loops-vary-by = Your loops vary by { $spread_mm }.
practice-your-hooks-differ-by-from = Your hooks differ by { $spread_mm } from one to the next.
practice-coils-inside-varies-by-along = The coil's inside varies by { $spread_mm } along it: that is how unevenly you held it.
practice-even-enough-move-on-silver = { " " }Even enough to move on to silver.
practice-get-below = Get below { $target_mm }:{ " " }
practice-draw-line-fresh-put-middle = draw the line fresh, put the middle of the wire on it, and look before each roll.
practice-press-same-mark-into-same = press the same mark into the same step, and bend to the same stop.
practice-keep-your-thumb-behind-turn = keep your thumb behind the turn you are winding, and don't stop with slack wire.
practice-all-them-than-planned-move = { " " }All of them are { $off_mm } { $larger ->
    [true] larger
   *[other] smaller
} than planned: move the mark, not your hand.
practice-half-as-uneven-as-at = half as uneven as at first, or better
practice-more-even-than-at-first = more even than at first
practice-about-as-even-as-at = about as even as at first
practice-less-even-than-at-first = less even than at first: rest your hands and try another day
practice-sets-from = { $spreads_mm } sets, from { $first } to { $last }: { $progress }.

## learn-reading

learn-reading-not-caliper-reading-should-send = { $line } is not a caliper reading. It should send a number and its unit: 5.08 mm.
learn-reading-caliper-isnt-still-hold-steady = The caliper isn't still. Hold it steady and take the reading again.
learn-reading-has-no-unit-could-be = { $line } has no unit: it could be millimetres or inches. Set the caliper to send its unit.
learn-reading-not-length-not-unit-length = { $line } is not a length: { $other } is not a unit of length. Is the right instrument connected?
learn-reading-reading = reading
learn-reading-measure = measure
learn-reading-steady = { $mm }, steady.
learn-reading-jumps-between-hold-still-close = It jumps between { $least } and { $most }: hold it still, close the jaws lightly, wipe them, and read again.

## rescue

rescue-straighten = Straighten it.{ " " }
rescue-make-your-from-uses-its = { $straighten }Make your { $name } from it: it uses { $blank_mm } of its { $wire_mm }.{ $anneal }
rescue-with-solder-on = { " " }with solder on it
rescue-or-put-in-scrap-g = Or put it in the { $metal } scrap{ $soldered }: { $mass } g.
rescue-what-missing = what is missing
rescue-how-much-larger = how much larger it is
rescue-has-no-choose-what-went = A { $name } has no { $what }. Choose what went wrong with it.
rescue-that-makes-can-have-measure = That makes the { $label } { $shown }; a { $name } can have { $min } to { $max }. Measure it again.
rescue-eye-or-loop = eye or loop
rescue-turn-that-lifted = turn that is lifted
rescue-turns-lifted = turns lifted
rescue-thickness-left = thickness left
rescue-bend-that-hammered = bend that is hammered
rescue-at-has-more-strain-than = At { $by } it has more strain than the metal should take: look for cracks with a lens, and scrap it. (Estimate.)
rescue-trim-extra-lifted-turns-leaving = Trim the extra lifted turns, leaving the first, so that the cap has { $base } turns.
rescue-anneal-before-any-further-bend = { " " }Anneal it before any further bend.
rescue-leave-at-harder-wider-there = Leave it at { $by }: it is harder and wider there.{ $value }
rescue-press-spiral-tighter = Press the spiral tighter in smooth jaws, turn against turn. It comes out as planned.
rescue-coil-spiral-tighter = Coil the spiral tighter from its middle outwards, each turn against the last. It comes out as planned.
rescue-piece-still-comes-out-complete = The piece still comes out complete.
rescue-make-instead = Make the { $label } { $rounded } instead of { $instead }.
rescue-the = the { $what }
rescue-straighten-2 = Straighten { $what }. { $told }{ $anneal }

## rod

rod-instead = , ± { $now } instead of ± { $before }
rod-ring-inside = A ring { $inside_mm } inside
rods-winds-like = Your { $rod } seems { $thicker ->
    [true] thicker
   *[other] thinner
} than listed, by about { $by }: { $lots_n } lots agree. Measure it with the caliper and correct it under Tools.
rods-mm = { $by } mm
rods-in = { $by } in
rod-now-needs-instead = { $ring } now needs the { $now } instead of the { $handbook }{ $surer }.
rod-still-needs = { $ring } still needs the { $now }{ $surer }.
rod-still-your-closest-but-its = { $ring }: the { $now } is still your closest, but its rings measure { $gives_mm }. A rod of { $ideal_mm } would give it: put tape on a thinner one, or measure your rods with the caliper and correct them under Tools.
rod-next-measure-coil-on-narrows = Next, measure a coil on the { $rod }: it narrows ± { $spread } to about ± { $spread2 }.

## learn-sheet

learn-sheet-reading = { " " }Reading { $read_n } of { $readings_n }.
learn-sheet-measure = { $pieces_n } to measure.
learn-sheet-measured-pass = { $pass } of { $pieces } measured pass
learn-sheet-fix = to fix
learn-sheet-set-apart = to set apart

## learn-spread

learn-spread-measure-one-coil-each-lot = Measure one coil of each lot: then plans know how it springs back.
learn-spread-measure-rods-you-use-most = Measure the rods you use most, where the coil is wound, and enter it under Tools.
learn-spread-wind-with-even-pull-thumb = Wind with an even pull, thumb behind each turn. Practise with the coil without gaps.
learn-spread-close-each-ring-past-its = Close each ring past its place and back, until the ends meet. Saw along one line.
learn-spread-read-each-ring-three-times = Read each ring three times, turning it a third: rings are less round than they look.
learn-spread-most-total = Most of it is { $shown } (± { $mm }, { $share } % of the total). { $what }

## trial

trial-blank = blank
trial-what-was-left-over = what was left over
trial-make-one-first-cut-blank = Make one first: cut a blank, form it, and enter how it came out.
trial-bend-on-tool-or-measure = bend it on a { $thinner ->
    [true] thinner
   *[other] thicker
} tool, or measure how this lot springs
trial-jaw-not-that-thin-even = the jaw is not that thin even at its tip: use another, or calibrate it with two loops
trial-at-from-tip = , at { $place } from the tip
trial-roll-nearer-than-this-one = roll it { $off } nearer the { $towards_tip ->
    [true] tip
   *[other] base
} than this one{ $place }
trial-came-out = The { $what } came out { $by } { $larger ->
    [true] larger
   *[other] smaller
}: { $put_right }.
trial-half-millimetre = half a millimetre
trial-thirty-second = a thirty-second
trial-cut-next-one-like-last = Cut the next one { $length }, like the last.
trial-cut-next-one-longer = Cut the next one { $unit } longer: { $length }.
trial-cut-next-one-shorter = Cut the next one { $unit } shorter: { $length }.
trial-cut-next-one = Cut the next one { $by } { $longer ->
    [true] longer
   *[other] shorter
}: { $length }.
trial-its-parts-add-up-as = Its parts add up to { $planned_mm } as drawn.
trial-formed-they-took-marks-correct = Formed, they took { $parts } { $more ->
    [true] more
   *[other] less
}: the marks correct that.
trial-at-end = { $over_mm } { $over ->
    [true] left over
   *[other] missing
} at the end.
trial-that-far-from-what-its = That is far from what its parts add up to. Was the blank really that long, and how much was left over?
trial-over-trials = , over { $trials_n } trials
trial-in-your-hands-blank-needs = In your hands a blank needs { $allowance_mm } { $longer ->
    [true] longer
   *[other] shorter
} than its parts{ $of }.

## cause

cause = cause
cause-mark-slipped = the mark slipped
cause-centre-off = the centre was off
cause-blank-off = the blank was off
cause-loops-open = loops were not closed
cause-wire-size = the wire is of another size
cause-hardness = the wire is of another hardness
cause-rod-off = the rod is of another size

## found-with

found-with = way of measuring
found-with-caliper = with the caliper
found-with-eye = by eye
found-with-touch = by touch

## verdict

verdict = verdict
verdict-pass = passes
verdict-rework = fix it
verdict-reject = set it apart

## read-from

read-from = source of a reading
read-from-typed = typed
read-from-caliper = caliper
read-from-simulated = simulated caliper

## drill

drill = drill
drill-ten-loops = ten loops at one mark
drill-ten-hooks = ten equal hooks
drill-coil-without-gaps = a coil without gaps

## wrong

wrong = mishap
wrong-cut-short = cut short
wrong-end-starved = end too short
wrong-eye-too-large = eye too large
wrong-spiral-loose = spiral loose
wrong-turns-lifted = two turns lifted
wrong-over-hammered = hammered too thin

## source

source = source of unevenness
source-metal = metal
source-rod = rod
source-hand = winding
source-cut = cutting and closing
source-reading = reading and roundness

## inside

inside = inside measured
inside-coil = inside of the coil
inside-ring = inside of the ring

# The pull test.
pull-weight = weight
pull-length = length
pull-hardly-longer = The wire should stay at least { $least_mm } long. Pull harder, or until it breaks.
pull-too-long = Wire breaks before it is { $most_mm } long. Measure between the same two marks.
pull-should-take = This wire should take { $least } to { $most }, not { $pulled }.
pull-did-you-mean = { $expected } Did you mean { $meant }?
pull-check-save-again = { $expected } Check the weight. If it is right, save it again.
pull-stretched = { $pulled } stretched { $length_mm } to { $stretched_mm }. Usual for this wire: about { $usual }.
pull-broke = Broke at { $pulled }. Usual for this wire: about { $usual }.
pull-g = { $g } g
pull-kg = { $kg } kg
pull-how-clamp = { $wire } of wire: clamp one end in the vice and hook the other to a hanging scale.
pull-how-mark = { $between } apart: mark two places on it, well clear of both ends.
pull-how-stretch = About { $usual }: pull slowly until the marks stay { $longer } further apart. Note the most the scale shows.
pull-how-break = About { $usual }: pull slowly until it breaks between the marks. Note the most the scale shows.
pull-caution = Wire that breaks whips back: wear eye protection, keep your face out of its line, and never wind it round your hand.
pull-too-heavy = This wire takes about { $usual }, more than a hand should pull. Measure a coil instead.
