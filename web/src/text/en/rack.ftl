## piece-picker

piece-picker-as-you-asked = As you asked
piece-picker-your-findings = Your findings
piece-picker-your-chains = Your chains
piece-picker-your-rings = Your rings
piece-picker-as-usually-made = { $family }, as usually made

## prices-dialog

prices-dialog-named = Metal prices and hour rate
prices-dialog-from-press-save-use-them = From { $source }, { $day }. Press Save to use them.
prices-dialog-prices-saved = Prices saved.
prices-dialog-money = Money
prices-dialog-save = Save
prices-dialog-currency = Currency
prices-dialog-florins = florins
prices-dialog-your-hour-rate = Your hour rate
prices-dialog-gram-metal = A gram of metal
prices-dialog-used-for-scrap-for-pieces = Used for scrap, and for pieces whose lot has no price.
prices-dialog-fill-in-from-price-list = Fill in from the price list

## rack-frame

rack-frame-named = Wire
rack-frame-stock = Stock
rack-frame-choose-wire = Choose wire
rack-frame-cutting-plan = Cutting plan
rack-frame-cost = Cost

## choose-view

choose-view-compare = Compare { $wire }
choose-view-costs = costs
choose-view-opens-at-as-made = Opens at, as made
choose-view-after-tumbling = after tumbling
choose-view-effort-20-awg-soft-copper = Effort (20 AWG soft copper is 1)
choose-view-stretch-used-at-tightest-bend = Stretch used at the tightest bend
choose-view-springs-back = Springs back
choose-view-wire-one-as-cut = Wire of one, as cut
choose-view-no-price-yet = no price yet
choose-view-wire-for = A wire for{ " " }
choose-view-choose-piece = choose a piece
choose-view-worn = , worn{ " " }
choose-view-where-worn = Where it is worn
choose-view-where-usually = where it usually is
choose-view-that-holds = , that holds{ " " }
choose-view-weight-must-hold-grams = Weight it must hold, grams
choose-view-nothing = nothing
choose-view-goes-through = It goes through{ " " }
choose-view-is = , is{ " " }
choose-view-hole = Hole it goes through
choose-view-no-hole = no hole
choose-view-how-finished = How it is finished
choose-view-how-joined = How it is joined
choose-view-made = , made{ " " }
choose-view-who-makes = Who makes it
choose-view-more-conditions = More conditions
choose-view-fewer-conditions = Fewer conditions
choose-view-matters = , and what matters most is{ " " }
choose-view-what-matters = What matters most
choose-view-nothing-more = nothing in particular
choose-view-for-at-most = , for at most{ " " }
choose-view-what-wire-one-may-cost = What the wire of one may cost
choose-view-any = any
choose-view-wire-each = { " " }{ $currency } of wire each.
choose-view-weights-efforts-estimates = Weights and efforts are estimates.
choose-view-uses = What it is for
choose-view-sensitive = for sensitive ears or skin
choose-view-springs = has to spring back, like a bracelet coil
choose-view-these-results-for-your-previous = { " " }These results are for your previous settings.{ " " }
choose-view-comparing-wires = Comparing wires…
choose-view-choose-piece-compare-wires-for = Choose a piece to compare wires for it.
choose-view-each = { $cost } each
choose-view-fewer-reasons = fewer reasons
choose-view-every-reason = every reason
choose-view-use-this-wire = { " " }use this wire{ " " }
choose-view-show-more = Show { $few } more
choose-view-wires-side-by-side = { $compared } wires side by side{ " " }
choose-view-figure = Figure
choose-view-select-two-four-wires-compare = Select two to four wires to compare them.
choose-view-metals-not-suitable = { $leftout } metals are not suitable
choose-view-wires-compared = { $weighedn } wires compared.

## hold-plot

hold-plot-asked = needed
hold-plot-effort = { $i }, { $one }: { $holdsshown }, effort { $effort }
hold-plot-hold-against-effort = Strength against effort. { $effort }.
hold-plot-holds-effort = { $name }: holds { $at }, effort { $at2 }
hold-plot-effort-bend = effort of a bend
hold-plot-opens-at-grams = opens at, g

## cost-view

cost-view-buy-pair = A pair
cost-view-buy-one = One
cost-view-a-foot = a foot
cost-view-a-metre = a metre
cost-view-foot = foot
cost-view-metre = metre
cost-view-what-goes-into = What goes into it
cost-view-what-does = What does{ " " }
cost-view-choose-piece = choose a piece
cost-view-cost = { " " }cost?
cost-view-how-many-made = How many are made
cost-view-made-each-cut-from = { " " }are made, each cut from{ " " }
cost-view-wire-one-as-cut = Wire of one, as cut
cost-view-wire-at = { " " }of wire at{ " " }
cost-view-what-wire-costs = What the wire costs
cost-view-how-much = how much
cost-view-a = { " " }{ $currency } a { $metre };{ " " }
cost-view-other-losses-scrap-trials-percent = Other losses: scrap, trials, percent
cost-view-more-goes-scrap-trials-blades = { " " }% more goes to scrap and trials; blades, abrasives and fuel cost{ " " }
cost-view-blades-abrasives-fuel-for-one = Blades, abrasives, fuel for one
cost-view-each-my-time-for-one = { " " }each. My time for one:{ " " }
cost-view-your-time-for-one-minutes = Your time for one, minutes
cost-view-how-many = how many
cost-view-minutes-set-up = { " " }minutes, set-up{ " " }
cost-view-setting-up-once-minutes = Setting up, once, minutes
cost-view-once-hour-costs = { " " }once, and an hour costs{ " " }
cost-view-your-hour = Your hour
cost-view-costs-buy = . { $one } costs to buy{ " " }
cost-view-pair-bought = A pair bought
cost-view-one-bought = One bought
cost-view-prices-currency-hour-rate = Prices, currency and hour rate
cost-view-result = Result
cost-view-this-for-your-previous-entries = This is for your previous entries.
cost-view-one = each
cost-view-pair = a pair
cost-view-wire-losses-included = Wire, losses included
cost-view-consumables = Consumables
cost-view-your-time-with-set-up = Your time, with set-up shared
cost-view-all = All { $piecesn }
cost-view-one-2 = One: { $working }
cost-view-save-plan-or-finding-first = Save a plan or a finding first, or choose a usual one.
cost-view-enter-what-this-wire-costs = Enter what { $metre } of this wire costs to see the cost of one. Wire added with its price fills this in.

## cut-strip

cut-strip-left = left

## cut-view

cut-view-added-cutting-plan = Added to the cutting plan: { $piecesn } of “{ $what }”.
cut-view-removed-from-cutting-plan = Removed from the cutting plan: “{ $what }”.
cut-view-be-cut = Pieces to cut
cut-view-how-many = How many: { $what }
cut-view-remove = Remove
cut-view-remove-this = Remove: { $what }
cut-view-add-saved-piece = Add a saved piece…
cut-view-add = Add
cut-view-cutting-plan = Cutting plan
cut-view-loading-stock = Loading stock…
cut-view-nothing-cut-yet-add-saved = Nothing to cut yet. Add saved plans or findings and how many, and this shows what to cut from which spool or offcut.

## wire-plan

wire-plan-needed = { $wantedmm } needed
wire-plan-trims-offcuts = { " " }trims and offcuts{ " " }
wire-plan-pdf = { " " }PDF{ " " }
wire-plan-csv = { " " }CSV{ " " }
wire-plan-lost-at-each-flush-trim = Lost at each flush trim
wire-plan-lost-at-each-cut = Lost at each cut
wire-plan-0-for-nippers-blades-kerf = 0 for nippers, the blade's kerf for a saw
wire-plan-shortest-offcut-worth-keeping = Shortest offcut worth keeping
wire-plan-best-so-far-scrap = Best so far: { $scrapmm } of scrap.
wire-plan-planning-cuts = Planning the cuts…
wire-plan-stop-use-best-so-far = Stop and use the best so far
wire-plan-short = { $short } of “{ $demand }” short:
wire-plan-kind = { $kind },{ " " }
wire-plan-wire = { " " }{ $lengthmm } of wire.
wire-plan-cut = { $piece }: cut
wire-plan-any-plan-uses-at-least = Any plan uses at least { $lowerboundmm }.
wire-plan-book-selected-cuts = Book the selected cuts
wire-plan-select-all = Select all
wire-plan-what-you-book-comes-off = What you book comes off this list.
wire-plan-for-batches-orders-count-book = For batches and orders: { $atthebench }. Count and book these at the bench, not here.

## buying-list

buying-list-from = From: { $source }.
buying-list-buy = To buy
buying-list-nothing-short = Nothing is short.
buying-list-enter-how-sold = { " " }enter how it is sold{ " " }
buying-list-list-as-csv = List as CSV

## keeping-dialog

keeping-dialog-saved-when-buy-again = Saved when to buy { $name } again.
keeping-dialog-when-buy-this-wire-again = When to buy this wire again
keeping-dialog-save = Save
keeping-dialog-keep-at-least = Keep at least
keeping-dialog-if-less-left-appears-on = If less is left, it appears on the shopping list.
keeping-dialog-sold-in-packs = Sold in packs of
keeping-dialog-price-pack = Price of a pack, { $currency }
keeping-dialog-price-pack-2 = Price of a pack
keeping-dialog-shortest-offcut-worth-keeping = Shortest offcut worth keeping
keeping-dialog-shorter-ends-go-scrap-if = Shorter ends go to scrap. If empty: { $usualshortestmm }.
keeping-dialog-bought-from = Bought from

## lot-dialog

lot-dialog-changed = Changed “{ $name }”.
lot-dialog-change-lot = Change the lot
lot-dialog-choose-metal = Choose the metal.
lot-dialog-added-stock = “{ $name }” added to stock.
lot-dialog-add-wire = Add wire
lot-dialog-edit-lot = Edit lot
lot-dialog-save = Save
lot-dialog-add-stock = Add to stock
lot-dialog-paste-shops-listing = Paste the shop’s listing
lot-dialog-925-hh-sq-20ga-5ft = .925 HH sq 20ga 5ft 14.80
lot-dialog-metal-size-temper-amount-price = Metal, size, temper, amount and price in any order. It fills in what it finds.
lot-dialog-not-understood = Not understood: { $unclear }.
lot-dialog-priced-for = Priced for{ " " }
lot-dialog-piece = a piece…
lot-dialog-it-is-a = It is a
lot-dialog-of = { " " }of{ " " }
lot-dialog-temper = Temper
lot-dialog-metal = Metal
lot-dialog-which-metal = which metal
lot-dialog-section = Section
lot-dialog-size = Size
lot-dialog-18-awg-1-mm = 18 awg, 1 mm
lot-dialog-surface = Surface
lot-dialog-with-outer-layer = { " " }with an outer layer of{ " " }
lot-dialog-outer-layer-weight = Outer layer, % of weight
lot-dialog-its-weight = { " " }% of its weight
lot-dialog-length-or-weight = Length or weight
lot-dialog-5-m-16-ft-250 = 5 m, 16 ft, 250 g
lot-dialog-of-it = { " " }of it,
lot-dialog-bought = , bought
lot-dialog-for = { " " }for{ " " }
lot-dialog-price = Price
lot-dialog-not-said = not said
lot-dialog-bought-on = { " " }{ $currency }, bought on{ " " }
lot-dialog-bought-on-2 = Bought on
lot-dialog-bought-told = { " " }({ $day })
lot-dialog-empty-spool-weighs = ; the empty spool weighs{ " " }
lot-dialog-empty-spool-g = Empty spool, g
lot-dialog-not-weighed = not weighed
lot-dialog-g-its-tag-says = { " " }g. Its tag says{ " " }
lot-dialog-name-on-its-tag = Name on its tag
lot-dialog-blue-spool = Blue spool
lot-dialog-note = Note

## lot-panel

lot-panel-named = Lot and history
lot-panel-restored = restored
lot-panel-archived = archived
lot-panel-restore = Restore
lot-panel-archive = Archive
lot-panel-offcut = { $name }, offcut
lot-panel-stock-corrected-scale = Stock corrected to the scale.
lot-panel-stock-already-agrees-with-scale = Stock already agrees with the scale.
lot-panel-added-as-offcut = “{ $name }” added as an offcut.
lot-panel-reversed-both-lines-stay-in = Reversed. Both lines stay in the history.
lot-panel-was = “{ $name }” was { $archived }.
lot-panel-left = { " " }left · { $leftg }{ " " }
lot-panel-at = { " " }at { $amount } a { $priceof }
lot-panel-record-change = Record a change
lot-panel-weigh = Weigh it
lot-panel-set-offcut-aside = Set an offcut aside
lot-panel-change = Change
lot-panel-was-2 = It was
lot-panel-how-much-length-or-weight = How much: length or weight
lot-panel-120-mm-5-ft-2 = 120 mm, 5 ft, 2 g
lot-panel-signed = -120 mm, +2 g
lot-panel-what-for = What for
lot-panel-record = Record
lot-panel-recorded = Recorded: { $length } { $kind }.
lot-panel-cancel = Cancel
lot-panel-put-on-scale = Put it on the scale with its spool, or type the weight.{ " " }
lot-panel-put-on-scale-with-its-spool = Put it on the scale with its spool (empty: { $tareg }), or type the weight.{ " " }
lot-panel-this-simulated-scale-that-comes = This is the simulated scale that comes with the program.
lot-panel-weight-with-spool = Weight with the spool
lot-panel-empty-spool-g = The empty spool, g
lot-panel-0-if-wire-weighed-without = 0 if the wire is weighed without it. Saved with the lot.
lot-panel-put-on-read = Put it on and read
lot-panel-read-scale = Read the scale
lot-panel-right-correct-stock = It is right: correct the stock
lot-panel-correct-stock = Correct the stock
lot-panel-length-offcut = Length of the offcut
lot-panel-240-mm = 240 mm
lot-panel-its-tag = Its tag
lot-panel-set-aside = Set aside
lot-panel-when = When
lot-panel-what = What
lot-panel-left-2 = Left
lot-panel-times = { $n } × { $kind }
lot-panel-reversed-kind = reversed: { $kind }
lot-panel-show-all = Show each
lot-panel-reverse = Reverse
lot-panel-reverse-this = Reverse: { $kind } { $note }
lot-panel-close = Close
lot-panel-fetching-its-ledger = Fetching its ledger…

## rack-files

rack-files-named = What the file holds
rack-files-reading = Reading { $name }
rack-files-importing = Importing { $name }
rack-files-lots = Lots
rack-files-history = History
rack-files-how-wires-kept = When to buy
rack-files-scrap = Scrap
rack-files-lots-were-here-already-left = { " " }{ $alreadyn } lots were here already and are left as they are.
rack-files-imported-records-from = Imported { $alreadyn } records from { $name }.{ $left }
rack-files-all-this-in-stock-already = All of this is in stock already. Nothing was changed.
rack-files-import-or-export = Import or export
rack-files-import-table-or-json = { " " }Import a table or JSON{ " " }
rack-files-as-csv = { $title } as CSV{ " " }
rack-files-everything-as-json = { " " }Everything as JSON{ " " }
rack-files-table-or-json-file-import = Table or JSON file to import
rack-files-cannot-be-imported-fix-file = { $wrongn } of { $rowsn } cannot be imported. Fix the file first; nothing is imported until then.
rack-files-more = , { $othersn } more
rack-files-in-stock-already-left-as = { " " }{ $alreadyn } are in stock already and are left as they are.
rack-files-records-nothing-has-been-saved = { $rowsn } records{ $more }. Nothing has been saved yet.{ $are }
rack-files-more-2 = And { $rows } more.
rack-files-reading-file = Reading the file…
rack-files-import = Import
rack-files-cancel = Cancel

## scrap-list

scrap-list-named = Scrap
scrap-list-refiner = to the refiner
scrap-list-taken-from-scrap = Taken from the scrap.
scrap-list-added-scrap = Added to the scrap.
scrap-list-scrap = Scrap
scrap-list-no-scrap-yet-keep-metals = No scrap yet. Keep metals apart, and soldered apart from clean: clean scrap melts into balls at the bench.
scrap-list-take-from = Take from { $metal }, { $cleanliness }
scrap-list-estimated-at = estimated at
scrap-list-add-scrap = Add scrap
scrap-list-metal-prices = Metal prices
scrap-list-take-scrap-out = Take scrap out
scrap-list-record = Record
scrap-list-metal = Metal
scrap-list-how-clean = How clean
scrap-list-weight-g = Weight, g
scrap-list-note = Note
scrap-list-taken-out-not-added = { " " }taken out, not added

## stock-view

stock-view-lots = Lots
stock-view-add-wire = Add wire
stock-view-find-by-tag-metal-size = Find by tag, metal, size or note
stock-view-g = { $leftg } g
stock-view-kind-lot = Kind of lot
stock-view-spools-offcuts = spools and offcuts
stock-view-that-make-piece = { " " }that make a piece of{ " " }
stock-view-any-length = any length
stock-view-used-up-or-archived = { " " }used up or archived{ " " }
stock-view-loading-stock = Loading stock…
stock-view-no-wire-matches = No wire matches.
stock-view-no-lot-used-up-or = No lot is used up or archived.
stock-view-no-wire-yet-add-spool = { " " }No wire yet. Add a spool: paste the shop’s listing, or enter what it is. From then on you see what is left of it.{ " " }
stock-view-low-short = { " " }low: { $group } short{ " " }
stock-view-when-buy-again = When to buy again: { $group }
stock-view-when-buy-again-2 = { " " }when to buy again{ " " }
stock-view-pages = Pages
stock-view-back = Back
stock-view-to-of = { $most } to { $lots } of { $total }
stock-view-next = Next

## stock-level-dialog

stock-level-dialog-named = When to buy a wire again
