## blade-list

blade-list-added-blade = Added the { $blade } blade.
blade-list-removed-blade = Removed the { $blade } blade.
blade-list-changed-note = Changed the note.
blade-list-saw-blades = Saw blades
blade-list-tick-ones-you-own-two = Tick the ones you own. Two or three teeth should be in the wire.
blade-list-blade = Blade
blade-list-kerf = Kerf, { $across_unit }
blade-list-teeth-inch = Teeth an inch
blade-list-wire-from = Wire from, { $across_unit }
blade-list-note = Note
blade-list-note-on-blade = Note on the { $blade } blade
blade-list-add-note = add a note

## gear-list

gear-list-none = none
gear-list-yes = yes
gear-list-torch = Torch
gear-list-mallet = Mallet
gear-list-tumbler = Tumbler
gear-list-taper = Taper
gear-list-i-have-torch = I have a torch
gear-list-i-have-guide-block-for = I have a guide block for sawing heavy wire
gear-list-i-have-steel-hammer-polished = I have a steel hammer and a polished block
gear-list-i-have-mallet = I have a mallet
gear-list-cutter = Cutter
gear-list-cutter-soft-wire-up = Cutter: soft wire up to
gear-list-cutter-hard-wire-up = Cutter: hard wire up to
gear-list-taper-narrow-end = Taper, narrow end
gear-list-taper-wide-end = Taper, wide end
gear-list-taper-length-between-two = Taper, length between the two
gear-list-wire-soft-hard = wire to { $cuttermm } soft, { $cutterhardmm } hard
gear-list-g-pieces-load = { $barrelg } g of pieces a load
gear-list-over = { $narrowmm } to { $widemm } over { $lengthmm }
gear-list-guide-block = Guide block
gear-list-hammer-block = Hammer and block
gear-list-equipment-saved = Equipment saved.
gear-list-equipment = Equipment
gear-list-change-these = Change these
gear-list-save = Save
gear-list-empty-lines-use-usual-value = Empty lines use the usual value. Without a taper, cones are wound on any that fits.
gear-list-tumbler-takes-pieces = Tumbler takes pieces of

## hand-list

hand-list-your-measurement-rod = Your measurement of the rod
hand-list-more-on-wooden-rod = More, on a wooden rod
hand-list-coil-not-tight-on-rod = Coil not tight on the rod
hand-list-saw-wandering = Saw wandering
hand-list-closing-ring = Closing the ring
hand-list-ring-not-being-round = The ring not being round
hand-list-caliper = The caliper
hand-list-consistency-saved = Consistency saved.
hand-list-consistency = Consistency
hand-list-how-much-each-these-changes = How much each of these changes a ring, usually. Together with the wire they make the ± in your hand.
hand-list-source = Source
hand-list-change-these = Change these
hand-list-save = Save
hand-list-empty-lines-use-usual-value = Empty lines use the usual value of a careful maker.

## method-list

method-list-noted = Noted: { $question }
method-list-preferred-methods = Preferred methods
method-list-where-makers-differ-every-plan = Where makers differ. Every plan uses these; you can change them for one plan on its page.

## plier-dialog

plier-dialog-named = A pair of pliers
plier-dialog-pliers = the pliers
plier-dialog-round-nose = Round-nose
plier-dialog-stepped = Stepped
plier-dialog-two-round-jaws = Two round jaws
plier-dialog-reach-jaws = Reach of the jaws
plier-dialog-25-mm-if-left-out = 25 mm if left empty
plier-dialog-jaw-length = Jaw length
plier-dialog-diameter-at-tip = Diameter at the tip
plier-dialog-diameter-at-base = Diameter at the base
plier-dialog-first-place-from-tip = First place, from the tip
plier-dialog-diameter-there = Diameter there
plier-dialog-second-place-from-tip = Second place, from the tip
plier-dialog-add-pliers = Add pliers
plier-dialog-change-pliers = Change the pliers
plier-dialog-save = Save
plier-dialog-jaws = Jaws
plier-dialog-name = Name
plier-dialog-slim-round-nose = slim round-nose
plier-dialog-from-two-places-measured-with = { " " }from two places measured with a caliper{ " " }
plier-dialog-diameters-steps-from-tip = Diameters of the steps, from the tip
plier-dialog-diameters-two-jaws = Diameters of the two jaws
plier-dialog-2-3-5-mm-with = 2, 3, 5 mm; with commas between

## plier-list

plier-list-removed = Removed the { $name }.
plier-list-long = , { $lengthmm } { $unit } long
plier-list-at-at = Ø { $diametermm } at { $atmm } { $unit }, { $diametermm2 } at { $atmm2 } { $unit }{ $long }
plier-list-to = Ø { $tipmm } to { $basemm } { $unit }{ $long }
plier-list-pliers = Pliers
plier-list-what-you-roll-loops-on = What you roll loops on. Findings say where on the jaw to hold the wire.
plier-list-add-pliers = Add pliers
plier-list-none-yet-measure-your-round = None yet. Measure your round-nose pliers at two places on the jaw and add them.
plier-list-jaws = Jaws
plier-list-edit-or-remove = Edit or remove

## rod-dialog

rod-dialog-named = A rod
rod-dialog-rod = the rod
rod-dialog-round = Round
rod-dialog-oval = Oval
rod-dialog-square = Square
rod-dialog-hexagon = Hexagon
rod-dialog-octagon = Octagon
rod-dialog-long-axis = Long axis
rod-dialog-across-flats = Across the flats
rod-dialog-short-axis = Short axis
rod-dialog-two-thirds-long-one-if = two thirds of the long one if left empty
rod-dialog-rounding-its-corners = Rounding of its corners
rod-dialog-0-3-mm-if-left = 0.3 mm if left empty
rod-dialog-length = Length
rod-dialog-diameter = Diameter
rod-dialog-length-hint = left empty: as long as any coil needs
rod-dialog-usable-hint = left empty: its length less 25 mm to grip
rod-dialog-length-that-can-be-wound = Length that can be wound
rod-dialog-add-rod = Add a rod
rod-dialog-change-rod = Change the rod
rod-dialog-save = Save
rod-dialog-shape = Shape
rod-dialog-name = Name
rod-dialog-drill-shank-dowel-hex-key = drill shank, dowel, hex key

## row-acts

row-acts-edit-it = Edit { $of }
row-acts-remove-it = Remove { $of }
row-acts-edit = Edit
row-acts-remove = Remove

## tools-view

tools-view-added-rods = Added { $addedn } rods: { $shown }.
tools-view-removed = Removed the { $record }.
tools-view-you-own-all-these-already = You own all of these already.
tools-view-rods = Rods
tools-view-what-you-wind-on-plans = What you wind on. Plans choose from these and rank them by the ring each really gives.
tools-view-add-rod = Add a rod
tools-view-add-standard-set = Add a standard set
tools-view-rods-2 = { $rodsn } rods
tools-view-find-rod = Find a rod
tools-view-loading-rods = Loading rods…
tools-view-no-rod-has-in-its = No rod has “{ $find }” in its name.
tools-view-no-rods-yet-add-standard = No rods yet. Add a standard set, or enter your own.
tools-view-shape = Shape
tools-view-rod = Rod
tools-view-size = Size, { $across_unit }
tools-view-length = Length, { $across_unit }
tools-view-edit-or-remove = Edit or remove
tools-view-rod-2 = rod
