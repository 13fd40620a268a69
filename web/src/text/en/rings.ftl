## ring-word-more

ring-word-more-or-enter-wire-you-have = Or enter the wire you have
ring-word-more-3-m-10-ft-50 = 3 m, 10 ft, 50 g
ring-word-more-length-or-weight-number-rings = A length or a weight; the number of rings follows
ring-word-more-ideal-rod = The ideal rod is{ " " }
ring-word-more-your-closest-rods = . Your closest rods:
ring-word-more-gives = { " " }gives { $ringinsidediametermm }, { $offmm }{ $offmm2 }
ring-word-more-you-have-no-rod-this = You have no rod of this shape. Add one under{ " " }
ring-word-more-tools = Tools

## rings-view

rings-view-steps = Steps
rings-view-figures = Figures
rings-view-on-rod = on the rod
rings-view-sprung-open = sprung open
rings-view-step-by-step = step by step
rings-view-by-temper = by temper
rings-view-cut-sheet-pdf = Cut sheet, PDF
rings-view-a4-true-size-with-check = A4, true size, with check bars
rings-view-cut-sheet-svg = Cut sheet, SVG
rings-view-same-page-draw-on = the same page to draw on
rings-view-label-for-bag-pdf = Label for the bag, PDF
rings-view-figures-csv = Figures, CSV
rings-view-one-line-for-table = one line for a table
rings-view-plan-json = Plan, JSON
rings-view-can-be-imported-again = can be imported again
rings-view-how-many-rings = How many rings
rings-view-count = a count
rings-view-rings = Rings
rings-view-temper-wire = Temper of the wire
rings-view-metal = Metal
rings-view-section-wire = Section of the wire
rings-view-size-wire = Size of the wire
rings-view-1-mm-18-awg-18 = 1 mm, 18 awg, 18 swg, .040"
rings-view-spool-wire-comes-from = Spool the wire comes from
rings-view-lot-5-or-any = lot 5, or any
rings-view-pulls-straighten = Pulls to straighten it
rings-view-12-times-or-none = 12 times, or none
rings-view-thickness-after-hammering = Thickness after hammering
rings-view-0-8-mm-or-not = 0.8 mm, or not
rings-view-how-made = How it is made
rings-view-how-wound = How it is wound
rings-view-rod-wound-on = The rod it is wound on
rings-view-5-mm-3-16-in = 5 mm, 3/16 in dowel, 6 mm hexagonal rod
rings-view-how-coil-cut = How the coil is cut
rings-view-saw-blade = Saw blade
rings-view-ring-size-wanted = Ring size wanted
rings-view-plan = plan
rings-view-loading-plan = Loading the plan…

## rods-line

rods-line-your-rods-placed-by-ring = Your rods, placed by the ring each gives
rods-line-you-have-no-rod-this = You have no rod of this shape yet.{ " " }
rods-line-add-rods-under-tools = Add rods under Tools
rods-line-see-ring-each-one-gives = { " " }to see the ring each one gives.

## temper-plot

temper-plot-ring-on-rod = { $name }: ring { $ringmm } on a rod of { $rodmm }
temper-plot-ring-inside-against-rod-by = Ring inside against rod, by temper. { $ends }.
temper-plot-rod-ring = { $series_name }: rod { $at }, ring { $at2 }
temper-plot-ring-inside = ring inside, { $across_unit }
temper-plot-rods-you-own = rods you own
temper-plot-this-plan = this plan

## plan

plan-120-rings-5-mm-inside = 120 rings 5 mm inside soft copper 18 awg
