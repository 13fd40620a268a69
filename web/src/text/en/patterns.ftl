## library-view

library-view-findings = Findings
library-view-find-finding = Find a finding
library-view-kind = Kind
library-view-worn = Worn
library-view-wire = Wire
library-view-all = all
library-view-your-own-under-saved = { " " }Your own { $own } are under Saved{ " " }
library-view-loading-findings = Loading findings…
library-view-findings-choose-from = Findings to choose from
library-view-no-finding-matches-try-another = No finding matches. Try another word, kind or wire.

## pattern-page

pattern-page-wire = Wire
pattern-page-when-goes-wrong = When it goes wrong
pattern-page-options = Options

## blank-strip

blank-strip-ruler-from-right = The strip: one blank, straight; the ruler from its right end
blank-strip-ruler-from-left = The strip: one blank, straight; the ruler from its left end
blank-strip-tails = tails
blank-strip-filing = filing
blank-strip-flush-flush-off-spool = { $all } = { $flush } { $unit } flush to flush; { $cut } { $unit } off the spool
blank-strip-used = { " " }used
blank-strip-from-right = { " " }from right
blank-strip-rounding = rounding
blank-strip-longer = longer { $surplusat }
blank-strip-in-piece = { $developedmm } in the piece
blank-strip-end = end
blank-strip-from-end = { $what } from the end
blank-strip-from-right-end = { $what } { $ruler } from the right end
blank-strip-from-left-end = { $what } { $ruler } from the left end
blank-strip-strip-one-blank-as-straight = The strip: one blank as straight wire
blank-strip-strip-one-blank-folded-in = The strip: one blank, folded in its middle, its two halves on each other

## check-list

check-list-note = Note
check-list-stop = Stop
check-list-watch = Watch
check-list-check-passed = check passed
check-list-checks-passed = checks passed

## fit-dialog

fit-dialog-now = now { $mm }
fit-dialog-size = To a size
fit-dialog-height-over-wire = Height, over the wire
fit-dialog-width-over-wire = Width, over the wire
fit-dialog-from-what-you-have = From what you have
fit-dialog-cut-length-flush-flush = Cut length, flush to flush
fit-dialog-2-in-50-mm = 2 in, 50 mm
fit-dialog-pliers = Pliers
fit-dialog-name-under-tools-or-two = a name under Tools, or two jaws: 5/7
fit-dialog-jaw-mark-from-tip = Jaw mark, from the tip
fit-dialog-for-tapered-jaws = for tapered jaws
fit-dialog-done = Done. { $changes }.
fit-dialog-that-size-already-nothing-changed = It is that size already. Nothing changed.
fit-dialog-fit = Fit it
fit-dialog-enter-size-you-want-free = Enter the size you want, and the free lengths are worked out. Or enter what you have, and the sizes follow.

## fit-list

fit-list-doesnt-fit = Doesn’t fit.
fit-list-fits = Fits.
fit-list-neither-two-has-opening-other = Neither of the two has an opening the other could go into.

## mate-dialog

mate-dialog-what-fits = What fits
mate-dialog-check-whether-ring-or-finding = Check whether a ring or a finding fits this one.
mate-dialog-type-ring = Type a ring
mate-dialog-6-mm-ring-18-ga = 6 mm ring of 18 ga
mate-dialog-or-choose-saved-one-ticked = Or choose a saved one; ticked, it counts as a set with this
mate-dialog-in-set = { $name } is in the set
mate-dialog-close = Close

## over-dialog

over-dialog-compare = Compare
over-dialog-other-piece-drawn-over-this = The other piece is drawn over this one in outline, with a list of differences.
over-dialog-earlier-revisions = Earlier revisions of “{ $name }”
over-dialog-revision = revision { $revision }
over-dialog-revision-2 = { " " }Revision { $revision }, { $madeat }{ " " }
over-dialog-restore = Restore
over-dialog-saved-findings = Saved findings
over-dialog-none-saved-yet = None saved yet.
over-dialog-close = Close

## room-view

room-view-front = front
room-view-side = side
room-view-temper = temper
room-view-marks = marks
room-view-pliers = Pliers
room-view-good-know = good to know
room-view-pattern-card-a5-pdf = Finding card A5, PDF
room-view-true-size-with-check-bars = true size, with check bars
room-view-pattern-card-a4-pdf = Finding card A4, PDF
room-view-same-larger = the same, larger
room-view-pattern-card-svg = Finding card, SVG
room-view-millimetres-draw-on = millimetres, to draw on
room-view-drawing-dxf = Drawing, DXF
room-view-centreline-outline-mm = centreline and outline, mm
room-view-bend-table-csv = Bend table, CSV
room-view-one-line-per-mark = one line per mark
room-view-label-for-bag-pdf = Label for the bag, PDF
room-view-pattern-json = Finding, JSON
room-view-can-be-imported-again = can be imported again
room-view-finding = Finding
room-view-figures-steps = Figures and steps
room-view-over = Over it, { $name }:
room-view-no-differences = no differences
room-view-remove = { " " }Remove it{ " " }
room-view-several-these-wound-as-coil = Several of these are wound as a coil and cut, not bent one by one.{ " " }
room-view-plan-coil-under-rings = Plan the coil under Rings
room-view-how-much-what-metal-can = How much of what the metal can take is used after this step. Over 60 %, anneal or bend wider; at 100 %, expect cracks. Estimates.
room-view-true-size = true size
room-view-rolled-on = { " " }Rolled on{ " " }
room-view-best-for-each-bend = best for each bend
room-view-finding-2 = finding
room-view-loading-drawing = Loading the drawing…

## try-menu

try-menu-try = Try it
try-menu-fit-size-or-your-tools = { " " }Fit to a size or to your tools{ " " }
try-menu-in-another-wire = { " " }In another wire{ " " }
try-menu-for-hand-was-drawn-for = For the hand it was drawn for
try-menu-for-other-hand-mirrored = For the other hand, mirrored
try-menu-with-ring-or-another-piece = { " " }With a ring or another piece{ " " }
try-menu-compare-with-revision-or-another = { " " }Compare with a revision or another piece{ " " }

## wire-dialog

wire-dialog-in-another-wire = In another wire
wire-dialog-use-this-wire = Use this wire
wire-dialog-practise-in-copper-then-cut = Practise in copper, then cut silver: the proportions stay, and the cut length is worked out again.
wire-dialog-metal = Metal
wire-dialog-temper = Temper
wire-dialog-size = Size

## words

words-how-many = How many
words-count = a count
words-mm = 2.5, 3/32 in
words-degrees = degrees, 18
words-turns = 2.5, 2 1/2
words-which-finding = Which finding
words-temper-wire = Temper of the wire
words-metal = Metal
words-section-wire = Section of the wire
words-size-wire = Size of the wire
words-1-mm-18-awg-18 = 1 mm, 18 awg, 18 swg, .040"
words-spool-wire-comes-from = Spool the wire comes from
words-lot-5-or-any = lot 5, or any
words-pliers-rolled-on = Pliers it is rolled on
words-which-way-round = Which way round
words-or = , or “{ $none }”
