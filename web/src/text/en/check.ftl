## batch-plot

batch-plot-pieces-on-mean-from-one = { $what } of { $pieces } pieces, average { $mean }, ± { $spread } from one to the next; may be from { $least } to { $most }.
batch-plot-number = number { $point }: { $placesn } { $across_unit }
batch-plot-on-mean = average { $mean }, ± { $spread }

## cause-panel

cause-panel-causes = Causes
cause-panel-why-number-came-out-like = Why number { $piece_n } came out like this
cause-panel-measure-that = Measure that
cause-panel-in-100 = { $share } in 100
cause-panel-close = Close

## check-frame

check-frame-named = Measure
check-frame-measurements = Measurements
check-frame-springback = Springback
check-frame-practice = Practice
check-frame-consistency = Consistency
check-frame-jaw-marks = Jaw marks
check-frame-fix-problem = Fix a problem

## check-view

check-view-simulated-caliper-shows = The simulated caliper shows
check-view-caliper-shows = The caliper shows
check-view-not-saved-reading-isnt-steady = Not saved: the reading isn’t steady.
check-view-set-aside-no-longer-counts = Set aside. It no longer counts.
check-view-counts-again = Counts again.
check-view-fix = fix it
check-view-passes = passes
check-view-set-apart = set it apart
check-view-measurements = Measurements
check-view-loading = Loading…
check-view-what-measure = What to measure
check-view-number = Number { $piecen }:{ " " }
check-view-wanted = Wanted:{ " " }
check-view-measured = { $what }, measured
check-view-reading = reading
check-view-save-reading = Save reading
check-view-read-caliper = Read the caliper
check-view-everything-measured = Everything is measured.
check-view-save = Save { $suggested }
check-view-right-save = It is right: save it
check-view-number-2 = Number { $piecen },{ " " }
check-view-another-dimension = Another dimension
check-view-number-3 = Number
check-view-results = Results
check-view-measure-number-again = { $key }: measure { $what } of number { $piecen } again
check-view-why = Why?

## checks-view

checks-view-archived-no-longer-counts = Archived: { $name }. It no longer counts.
checks-view-name-batch = { $name } (batch { $id })
checks-view-on-bench = On the bench
checks-view-practice = practice
checks-view-trial-check = trial
checks-view-coil = coil
checks-view-pieces = pieces
checks-view-finished-pieces = finished pieces
checks-view-trial-piece = a trial piece
checks-view-coils-let-go-not-cut = coils, let go and not cut
checks-view-finished-rings = finished rings
checks-view-choose-piece-measure = Choose the piece to measure.
checks-view-not-number-pieces-enter-1 = “{ $count }” is not a number of pieces. Enter 1 to 5,000.
checks-view-trial = { $name }, trial
checks-view-started = Started: { $name }.
checks-view-measure = Measure{ " " }
checks-view-how-many = how many
checks-view-how-many-2 = How many
checks-view-what-kind = What kind
checks-view-of = { " " }of{ " " }
checks-view-piece = a piece
checks-view-from-which-lot = From which lot
checks-view-lot-not-known = lot not known
checks-view-lot = lot { $lotn }, { $name }
checks-view-cut = { " " }cut{ " " }
checks-view-how-long = how long
checks-view-blank-as-cut-flush-flush = Blank as cut, flush to flush
checks-view-with = { " " }with{ " " }
checks-view-nothing = nothing
checks-view-wire-left-over-with-minus = Wire left over; with a minus if it was too short
checks-view-over = { " " }over
checks-view-measure-2 = Measure
checks-view-left-over-what-you-trimmed = Left over: what you trimmed off the end. If it was too short, enter a minus.
checks-view-find-measurement = Find a measurement
checks-view-loading = Loading…
checks-view-no-measurement-has-that-name = No measurement has that name.
checks-view-nothing-measured-yet-measure-one = Nothing measured yet. Measure one coil, and the next plan from that spool chooses the right rod. Start with the sentence above.
checks-view-archive = Archive

## hand-view

hand-view-plans-now-use-your-own = Plans now use your own consistency.
hand-view-loading = Loading…
hand-view-where-ring-comes-from = Where the ± of a ring comes from
hand-view-source = Source
hand-view-yours = Yours
hand-view-usual = Usual
hand-view-share = Share
hand-view-measured-times = measured { $seenn } times
hand-view-not-measured = not measured
hand-view-not-measured-yet-measure-few = Not measured yet. Measure a few coils or rings, three readings each, to see how consistent you are.
hand-view-used-by-plans = Used by plans
hand-view-use-my-consistency-in-plans = Use my consistency in plans
hand-view-how-long-steps-take-you = How long steps take you
hand-view-schedule-uses-these-times = The schedule uses these times.
hand-view-learned-at-bench-once-four = Learned at the bench: once four pieces of a batch have passed a step, its time is known.
hand-view-step = Step
hand-view-compared-with-usual = Compared with usual
hand-view-from = Range
hand-view-batches = Batches
hand-view-all-readings = All readings{ " " }
hand-view-readings = { $total } readings
hand-view-newest = Newest
hand-view-older = Older

## jaw-view

jaw-view-calibrated-with-your-loops-all = The { $name } is calibrated with your loops. All marks follow.
jaw-view-choose-pliers-wire-loops = Choose the pliers and the wire of the loops.
jaw-view-two-loops-calibrate-jaw-roll = Two loops calibrate a jaw: roll one near the tip and one near the base.
jaw-view-you-have-no-tapered-pliers = You have no tapered pliers listed.{ " " }
jaw-view-add-yours = Add yours
jaw-view-on = On the{ " " }
jaw-view-pliers = Pliers
jaw-view-pliers-2 = pliers
jaw-view-loop = { " " }a loop of{ " " }
jaw-view-wire = Wire
jaw-view-wire-2 = a wire
jaw-view-lot = { $wire }, lot { $lotn }
jaw-view-rolled = { " " }rolled{ " " }
jaw-view-how-far = how far
jaw-view-from-tip = From the tip
jaw-view-from-tip-came-out = { " " }from the tip came out{ " " }
jaw-view-how-large = how large
jaw-view-inside-loop = Inside of the loop
jaw-view-inside-another-rolled = { " " }inside; another, rolled{ " " }
jaw-view-other-from-tip = The other, from the tip
jaw-view-from-tip-2 = { " " }from the tip,{ " " }
jaw-view-inside-other = Inside of the other
jaw-view-has-mark-slipped = Has the mark slipped?
jaw-view-calibrate-jaw-with-both = Calibrate the jaw with both
jaw-view-what-your-measurements-say-about = What your measurements say about the marks
jaw-view-nothing-yet-measure-three-loops = Nothing yet. Measure three loops of a piece made on these pliers, and they appear here.
jaw-view-loops = { $loopsn } loops
jaw-view-loops-spring-open-when-you = Loops spring open when you let go; that is taken into account. Marks wear off and pliers differ: two loops show where each size is on this jaw.

## lot-box

lot-box-lot = Lot { $lotn }{ " " }
lot-box-plan-with-this-rod = Plan with this rod
lot-box-all-its-measurements = All its measurements

## lot-plot

lot-plot-point = Measurement { $n }: { $flow } % ± { $spread } %
lot-plot-springback-compared-with-usual-usual = Springback compared with usual. Usual spread ± { $handbookspread } %. { $spread }. Now: { $flow } % ± { $spread2 } %.
lot-plot-axis = measurement
lot-plot-now = now
lot-plot-pull-n = pull test { $n }
lot-plot-pull = pull test { $at }: { $at2 } %
lot-plot-measurement = measurement { $at }: { $at2 } %
lot-plot-springs-back-more = springs back more, %
lot-plot-usual = usual ± { $handbookspread } %

## lots-view

lots-view-loading = Loading…
lots-view-no-wire-in-stock-yet = No wire in stock yet. Once a spool is there, one measured coil shows how it springs back.{ " " }
lots-view-add-wire = Add wire
lots-view-lots = Lots
lots-view-no-lot-measured-yet-plans = No lot measured yet: plans use the usual ± 15 %.{ " " }
lots-view-measure-coil = Measure a coil
lots-view-lot = Lot { $lotn }, { $name }
lots-view-not-measured = { $others } not measured
lots-view-inside-usually = { " " }inside, usually { $handbookmm }{ " " }
lots-view-set-aside = , set aside
lots-view-looks-wrong-measure-again-or = , looks wrong: measure it again, or set it aside there

## match-panel

match-panel-not-number-pieces-enter-2 = “{ $size }” is not a number of pieces. Enter 2 for pairs.
match-panel-matching = Matching
match-panel-match-pairs = Match pairs
match-panel-sets = Sets of{ " " }
match-panel-pieces-in-set = Pieces in a set
match-panel-same-in = { " " }the same in{ " " }
match-panel-match = Match
match-panel-apart-in = { $mismatchmm } apart in { $worst }
match-panel-more-than-you-allow = more than you allow
match-panel-left-over-number = Left over: number { $leftovern }.
match-panel-no-other-matching-has-smaller = No other matching has more sets that pass, or as many that are more alike.
match-panel-swapping-any-two-pieces-would = A good matching. There are too many pieces to compare every way, so a slightly better one may exist.

## practice-view

practice-view-started = Started: { $name }.
practice-view-use-copper-first-forgives-shows = Use copper first: it forgives, and shows as much about your hands as silver.
practice-view-loading = Loading…
practice-view-goal = Goal: ±{ " " }
practice-view-start-set = Start a set
practice-view-met = met

## reading-list

reading-list-all-readings = All { $readings } readings
reading-list-simulated-caliper = simulated caliper
reading-list-typed = typed
reading-list-caliper = caliper
reading-list-hide-readings = Hide the readings
reading-list-count-again = Count again
reading-list-set-aside = Set aside

## rescue-view

rescue-view-cut-too-short = cut too short
rescue-view-how-much = how much
rescue-view-ran-out-wire-before-last = ran out of wire before the last bend
rescue-view-how-much-missing = how much is missing
rescue-view-eye-too-large = the eye is too large
rescue-view-how-much-larger = how much larger
rescue-view-spiral-loose = the spiral is loose
rescue-view-gap-between-its-turns = the gap between its turns
rescue-view-more-than-one-turn-lifted = more than one turn lifted
rescue-view-how-many-turns = how many turns
rescue-view-hammered-too-thin = hammered too thin
rescue-view-how-thick-now = how thick it is now
rescue-view-batch = batch { $id }
rescue-view-choose-finding-if-ring-goes = Choose a finding. If a ring goes wrong, only that ring is lost.
rescue-view-of = Of{ " " }
rescue-view-finding = a finding
rescue-view-what-went-wrong = What went wrong
rescue-view-by = { " " }by{ " " }
rescue-view-by-how-much = By how much
rescue-view-at-which-step = At which step
rescue-view-noticed-where-usually = noticed where it usually is
rescue-view-noticed-before-any-bend = noticed before any bend
rescue-view-noticed-at-step = noticed at step { $stepn }, { $named }
rescue-view-what-can-i-make = What can I make of it?
rescue-view-open-drawing = Open the drawing
rescue-view-nothing-this-kind-can-be = Nothing of this kind can be made from what is left.
rescue-view-cut-short-eye-too-large = Cut short, an eye too large, two turns lifted: what is left often still makes a good piece.

## tolerance-list

tolerance-list-named = How far off still passes
tolerance-list-inside-ring-or-coil = Inside of a ring or coil
tolerance-list-inside-loop-or-bend = Inside of a loop or bend
tolerance-list-length = A length
tolerance-list-gap-closed-loop-or-ring = The gap of a closed loop or ring
tolerance-list-wire = The wire
tolerance-list-difference-within-pair = Difference within a pair
tolerance-list-tolerances-saved = Tolerances saved.
tolerance-list-tolerances = Tolerances
tolerance-list-change = Change
tolerance-list-save = Save
tolerance-list-usual-if-left-empty = usual if left empty

## trial-panel

trial-panel-over = { $mm } over
trial-panel-missing = { $mm } missing
trial-panel-nothing-left-over = nothing left over
trial-panel-noted = Noted: { $overmm }.
trial-panel-cut-like-this-from-now = “{ $name }” is cut like this from now on. The earlier revision is kept.
trial-panel-started = Started: { $name }.
trial-panel-was-cut-with = { $blankmm } was cut, with{ " " }
trial-panel-nothing = nothing
trial-panel-wire-left-over-with-minus = Wire left over; with a minus if it was too short
trial-panel-left-over-at-end = { " " }left over at the end{ " " }
trial-panel-with-minus-if-was-too = (with a minus if it was too short).
trial-panel-before = Before it:{ " " }
trial-panel-this-one-came-out-right = This one came out right.
trial-panel-try-next-blank = Try the next blank
trial-panel-cut-like-this-from-now-on = Cut “{ $name }” like this from now on
trial-panel-save-finding-first-use-what = Save the finding first to use what the trial showed.

## pull-dialog

pull-dialog-pull-test = Pull test of lot { $lotn }
pull-dialog-save = Save pull test
pull-dialog-most-weight = Most weight
pull-dialog-weight-hint = As the scale shows it, for example 5.2 kg or 11.5 lb
pull-dialog-length-before = Between the marks before
pull-dialog-length-after = Between the marks after, let go
pull-dialog-it-broke = The wire broke
pull-dialog-wire-used = Wire used
pull-dialog-wire-used-hint = Leave empty if it is not to be taken off the stock
pull-dialog-yes-save-that = Yes, save that
pull-dialog-right-save = The weight is right, save it

## pull-list

pull-list-add = Add pull test
pull-list-pull-tests = Pull tests
pull-list-none = No pull test yet. Wire pulled with a hanging scale shows how strong it is before anything is wound.
pull-list-looks-wrong = Looks wrong: make it again, or set it aside.
pull-list-set-aside = Set aside
pull-list-count-again = Count again
pull-list-was-set-aside = Pull test set aside
pull-list-counts-again = Pull test counts again
