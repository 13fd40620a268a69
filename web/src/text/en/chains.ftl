## backwards-panel

backwards-panel-not-number-rings-enter-number = “{ $count }” is not a number of rings. Enter a number.
backwards-panel-bag-rings = A bag of rings
backwards-panel-how-many-rings = How many rings
backwards-panel-rings = { " " }rings,{ " " }
backwards-panel-5-mm = 5 mm
backwards-panel-inside-rings = Inside of the rings
backwards-panel-inside = { " " }inside, of{ " " }
backwards-panel-their-wire = Their wire
backwards-panel-18-ga = 18 ga
backwards-panel-1-2-mm = 1.2 mm
backwards-panel-wire = { " " }wire{ " " }
backwards-panel-how-long = How long?
backwards-panel-by-thickness = By thickness
backwards-panel-chain-about = A chain about{ " " }
backwards-panel-6-mm = 6 mm
backwards-panel-width = Width
backwards-panel-wide = { " " }wide{ " " }
backwards-panel-which-wire = Which wire?
backwards-panel-none-your-rods-suits-this = None of your rods suits this weave in a usual wire.

## best-rods

best-rods-best-for-this-weave = Best for this weave
best-rods-you-have-no-round-rods = You have no round rods listed.{ " " }
best-rods-add-your-rods = Add your rods
best-rods-rank-them-here = { " " }to rank them here.
best-rods-all-rods = all { $rods } rods
best-rods-fewer = fewer

## chain-stage

chain-stage-drag-or-use-arrow-keys = { $says } Drag or use the arrow keys to turn it.
chain-stage-view-from = View from
chain-stage-drag-turn = drag to turn

## chain-view

chain-view-three-repeats = three repeats
chain-view-rods = Rods
chain-view-figures = Figures
chain-view-ring-by-ring = ring by ring
chain-view-twelve = twelve
chain-view-backwards = backwards
chain-view-not-ring-number-enter-number = “{ $field }” is not a ring number. Enter a number.
chain-view-plan-weaving-steps-pdf = Plan and weaving steps, PDF
chain-view-a4-six-rows-drawn-at = A4, six rows drawn at true size
chain-view-drawing-svg = Drawing, SVG
chain-view-six-rows-from-three-sides = six rows from three sides, true size
chain-view-solid-rings-stl = Solid rings, STL
chain-view-its-first-24-rows-at = its first 24 rows at most, mm
chain-view-rings-make-csv = Rings to make, CSV
chain-view-one-line-per-part = one line per part
chain-view-weaving-steps-csv = Weaving steps, CSV
chain-view-one-line-per-ring = one line per ring
chain-view-chain-json = Chain, JSON
chain-view-can-be-imported-again = can be imported again
chain-view-weave-json = Weave, JSON
chain-view-rings-links-for-another-workshop = rings and links, for another workshop
chain-view-how-many-chains = How many chains
chain-view-count = a count
chain-view-length-when-worn-with-clasp = Length when worn, with the clasp
chain-view-42-cm-16-1-2 = 42 cm, 16 1/2 in
chain-view-weave = The weave
chain-view-byzantine-4-in-1-sheet = byzantine, 4 in 1 sheet
chain-view-width-in-repeats = Width in repeats
chain-view-temper-wire = Temper of the wire
chain-view-metal = Metal
chain-view-size-wire = Size of the wire
chain-view-1-2-mm-16-awg = 1.2 mm, 16 awg, .050"
chain-view-spool-wire-comes-from = Spool the wire comes from
chain-view-lot-5-or-any = lot 5, or any
chain-view-how-rings-wound = How the rings are wound
chain-view-rod-they-wound-on = The rod they are wound on
chain-view-5-mm-3-16-in = 5 mm, 3/16 in dowel
chain-view-how-coil-cut = How the coil is cut
chain-view-saw-blade = Saw blade
chain-view-rings-second-part = Rings of the second part
chain-view-same-as-others-or-another = The same as the others, or another metal.
chain-view-metal-second-part = Metal of the second part
chain-view-wire-second-part = Wire of the second part
chain-view-1-mm-18-awg = 1 mm, 18 awg
chain-view-rod-second-part = Rod of the second part
chain-view-4-mm-5-32-in = 4 mm, 5/32 in
chain-view-clasp = The clasp
chain-view-s-clasp-or-no-clasp = S clasp, or no clasp
chain-view-ease = Ease
chain-view-5-mm-or-5-mm = 5 mm, or -5 mm for room
chain-view-chain-stretches-with-wear-so = A chain stretches with wear, so it is made this much shorter. A minus leaves room.
chain-view-spare-rings = Spare rings
chain-view-expected-scrap = Expected scrap
chain-view-chain = Chain
chain-view-next-ring = The next ring
chain-view-own-weave = Own weave
chain-view-its-rings-can-be = { " " }Its { $name } rings can be{ " " }
chain-view-another-metal-or-size = { " " }another metal or size
chain-view-all-rings-same-again = { " " }All rings the same again
chain-view-ring-plan-behind = The ring plan behind it
chain-view-that-its-rings = that of its { $name } rings
chain-view-its-clasp = { " " }Its clasp is{ " " }
chain-view-finding = a finding
chain-view-chain-done = The chain is done.
chain-view-back-one = Back one
chain-view-which-ring-add = Which ring to add
chain-view-open-rings = { " " }of { $ofn } open rings{ " " }
chain-view-next-ring-2 = Next ring
chain-view-next-row = Next row
chain-view-drawn-taut = { $sheet } Drawn taut.
chain-view-parts-weave = Parts of the weave
chain-view-rings = { " " }{ $name }: { $ringsn } rings
chain-view-chain-2 = chain
chain-view-loading-chain = Loading the chain…

## link-diagram

link-diagram-cell-before = { " " }of the cell before
link-diagram-next-cell = { " " }of the next cell
link-diagram-right = , to the right
link-diagram-which-ring-goes-through-which = Which ring goes through which

## own-weave

own-weave-ring = ring
own-weave-my-weave = My weave
own-weave-mine = { $name }, mine
own-weave-so-far = , { $smallestratio } so far
own-weave-starts = { $triedn } of { $ofn } starts{ $far }
own-weave-saved-weave = Saved the weave “{ $name }”.
own-weave-your-own-weave = Your own weave
own-weave-name = Name
own-weave-start-from = Start from
own-weave-known-weave = a known weave
own-weave-saved-weaves = Saved weaves
own-weave-open-saved-weave = open a saved weave
own-weave-tap-ring-then-ring-goes = Tap a ring, then the ring it goes through. Tap the same two again to remove the link. Dark rings are one repeat; pale ones are the repeats beside it.
own-weave-add-ring = Add ring
own-weave-remove-ring = Remove ring
own-weave-each-repeat = { " " }each repeat{ " " }
own-weave-goes-straight-on = goes straight on
own-weave-turns-by-quarter = turns by a quarter
own-weave-turns-by-half = turns by half
own-weave-turns-freely = turns freely
own-weave-continues-as-sheet = continues as a sheet
own-weave-part-ring = Part of ring { $i }
own-weave-same-side = Each ring enters the next ones from the same side.
own-weave-each-side-in-turn = Each ring enters the next ones from one side and the other in turn.
own-weave-its-rings-stay-folded-over = { $folds } of its rings stay folded over others, as in the weave it came from.
own-weave-working-out-how-lies = Working out how it lies: { $far }{ " " }
own-weave-stop-use-best = Stop and use the best
own-weave-worked-out = { $name }, worked out.
own-weave-work-out-see-how-lies = Work it out to see how it lies, and the smallest ratio it needs.
own-weave-close = Close
own-weave-save-changes = Save changes
own-weave-save-weave = Save weave
own-weave-work-out = Work it out
own-weave-plan-chain-in = Plan a chain in it

## placing-card

placing-card-row = Row { $row }{ " " }
placing-card-of = of { $rowsn }
placing-card-ring = ring { $inrow } of { $ofrow }:{ " " }
placing-card-key-drawing = Key to the drawing
placing-card-new-ring-its-gap-open = { " " }the new ring, its gap open
placing-card-through = { " " }through { $through }
placing-card-closed-picked-up = { " " }closed, picked up: { $takesup }
placing-card-if-went-wrong = If it went wrong
placing-card-all-rings-in-hang-clasp = All rings are in. Hang the clasp in the last row, or join it to the first.

## ratio-scale

ratio-scale-ratio-in-every-weave = The ratio in every weave
ratio-scale-aspect-ratio = { " " }aspect ratio{ " " }
ratio-scale-in-every-weave = { " " }in every weave{ " " }
ratio-scale-not-possible = { " " }not possible{ " " }
ratio-scale-stiff = { " " }stiff{ " " }
ratio-scale-usual = { " " }usual{ " " }
ratio-scale-loose = { " " }loose{ " " }
ratio-scale-floppy = { " " }floppy{ " " }

## chain

chain-19-cm-byzantine-quarter-hard = 19 cm byzantine quarter-hard red brass 1.2 mm 5 mm rod

## picture

picture-front = front
picture-above = above
picture-along = along
