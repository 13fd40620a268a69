## bag-dialog

bag-dialog-bag-changed = Bag changed.
bag-dialog-bag = Bag
bag-dialog-save = Save
bag-dialog-contents = Contents
bag-dialog-where = Where it is
bag-dialog-note = Note

## bag-view

bag-view-make-again-it = Make again: { $name }
bag-view-started-as-was-made = Started: { $name }, as it was made.
bag-view-loading-bag = Loading the bag…
bag-view-finished-stock = Finished stock
bag-view-in-bag = in the bag
bag-view-filled = Filled { $filledon }
bag-view-in = , in { $place }
bag-view-batch = , batch { $batch }
bag-view-removed-from-stock = , removed from stock
bag-view-make-again = Make again
bag-view-label-as-pdf = Label as PDF
bag-view-sheets-printer = Sheets and printer
bag-view-how-was-made = How it was made
bag-view-its-steps-cannot-be-shown = Its steps cannot be shown with your current tools: { $fault }
bag-view-start-batch = Start batch

## count-dialog

count-dialog-not-number-pieces-enter-number = “{ $typed }” is not a number of pieces. Enter a number.
count-dialog-how-many = How many

## hold-dialog

hold-dialog-split = Split { $named }
hold-dialog-there-no-later-session-within = There is no later session within four weeks.
hold-dialog-not-before = { $named }: not before { $when }.
hold-dialog-you-can-do-1-first = You can do 1 to { $ofn } of the { $ofn2 } first.
hold-dialog-first-others = { $named }: { $firstn } first, the others { $when }.
hold-dialog-not-before-2 = Not before: { $named }
hold-dialog-pin = Pin it
hold-dialog-how-many-first = How many of { $ofn } first
hold-dialog-others-not-before = The others not before
hold-dialog-not-before-3 = Not before

## hours-dialog

hours-dialog-remove-hours = Remove { $day } { $from }
hours-dialog-handwork-in-one-session-minutes = Handwork in one session, minutes
hours-dialog-strain-your-hands-take-in = Strain your hands take in one session (240 is usual; less if they tire)
hours-dialog-rest-after-minutes = Rest after, minutes
hours-dialog-length-rest-minutes = Length of a rest, minutes
hours-dialog-hours-limits = Hours and limits
hours-dialog-save = Save
hours-dialog-bench-hours-each-week = Bench hours each week
hours-dialog-day-session = Day of session { $i }
hours-dialog-monday = Monday
hours-dialog-tuesday = Tuesday
hours-dialog-wednesday = Wednesday
hours-dialog-thursday = Thursday
hours-dialog-friday = Friday
hours-dialog-saturday = Saturday
hours-dialog-sunday = Sunday
hours-dialog-from = from
hours-dialog-to = to
hours-dialog-remove = Remove
hours-dialog-add-hours = Add hours
hours-dialog-no-tumbling-from = No tumbling from
hours-dialog-time-zone-workshop = Time zone of the workshop
hours-dialog-if-empty-servers-time-zone = If empty, the server’s time zone. This device is in { $here }.

## labels-dialog

labels-dialog-labels-bags = Labels of { $many } bags
labels-dialog-label-wide-mm = Label wide, mm
labels-dialog-label-high-mm = Label high, mm
labels-dialog-side-by-side = Side by side
labels-dialog-below-each-other = Below each other
labels-dialog-left-margin-mm = Left margin, mm
labels-dialog-upper-margin-mm = Upper margin, mm
labels-dialog-gap-beside-mm = Gap beside, mm
labels-dialog-gap-below-mm = Gap below, mm
labels-dialog-sheet-wide-mm = Sheet wide, mm
labels-dialog-sheet-high-mm = Sheet high, mm
labels-dialog-not-number = “{ $text }” is not a number.
labels-dialog-not-number-copies-enter-1 = “{ $copies }” is not a number of copies. Enter 1 to 500.
labels-dialog-simulated-printer-see-its-tray = the simulated printer (see its tray below)
labels-dialog-label-printer = the label printer
labels-dialog-one-label = One label
labels-dialog-labels = { $labelsn } labels
labels-dialog-went = { $labels } went to { $on }.
labels-dialog-label-sizes-saved-for-workshop = Label sizes saved for the workshop.
labels-dialog-label-bag = Label of the bag
labels-dialog-sheets-as-pdf = Sheets as PDF
labels-dialog-copies-each = Copies of each
labels-dialog-labels-already-used-on-first = Labels already used on the first sheet
labels-dialog-sizes-mm-on-sheet = { " " }Sizes: { $widthmm } × { $heightmm } mm, { $columnsn } × { $rowsn } on a sheet{ " " }
labels-dialog-save-these-sizes = Save these sizes
labels-dialog-code-on-label-opens-recipe = The code on a label opens the recipe as it was made, at { $origin }.
labels-dialog-only-this-computer-can-reach = { " " }Only this computer can reach that address. Open Lorimant by its network name before you print, so that a phone can reach it too.
labels-dialog-printed = Printed { $one }
labels-dialog-svg = SVG
labels-dialog-print = Print

## match-dialog

match-dialog-saved = saved
match-dialog-matches = Matches: { $told }
match-dialog-close = Close: { $told }
match-dialog-make-this = Make it: { $name }
match-dialog-not-number-pieces = “{ $n }” is not a number of pieces.
match-dialog-started = Started: { $name }.
match-dialog-match-lost-piece = Match a lost piece
match-dialog-find-matches = Find matches
match-dialog-measure-what-left-at-least = Measure what is left, at least two things. They are compared with everything saved and in stock.
match-dialog-its-wire = Its wire
match-dialog-0-81-mm-20-awg = 0.81 mm, 20 awg
match-dialog-longer-way-across = The longer way across
match-dialog-31-5-mm = 31.5 mm
match-dialog-shorter-way-across = The shorter way across
match-dialog-inside-loop-or-ring = Inside of a loop or ring
match-dialog-nothing-saved-comes-close-measure = Nothing saved comes close. Measure again, or let a recipe be worked out.
match-dialog-how-many-make = How many to make
match-dialog-in-finished-stock = in finished stock
match-dialog-make = Make it
match-dialog-its-metal = Its metal
match-dialog-work-out-recipe-for-these = Work out a recipe for these sizes
match-dialog-no-ring-or-finding-has = No ring or finding has these sizes. Measure again, the inside of a loop as well.
match-dialog-open-drawing = Open the drawing: { $sentence }
match-dialog-open-drawing-2 = Open the drawing

## order-dialog

order-dialog-remove-line = Remove { $name }
order-dialog-not-number-pieces = “{ $line }” is not a number of pieces.
order-dialog-not-percentage = “{ $spares }” is not a percentage.
order-dialog-order-for-changed = Order for { $forwhom } changed.
order-dialog-change-order = Change the order
order-dialog-save = Save
order-dialog-for = For
order-dialog-stock = stock
order-dialog-due = Due
order-dialog-no-date = no date
order-dialog-how-many = How many { $name }
order-dialog-spares = Spares, %
order-dialog-remove = Remove
order-dialog-note = Note

## order-sentence

order-sentence-choose-saved-piece = Choose a saved piece.
order-sentence-not-number-pieces-enter-1 = “{ $count }” is not a number of pieces. Enter 1 to 100,000.
order-sentence-not-percentage-enter-10-for = “{ $spares }” is not a percentage. Enter 10 for ten percent.
order-sentence-order-added = Order added: { $sentence }.
order-sentence-no-piece = Saved piece number { $id } is not among those to choose from. It may be in the archive.
order-sentence-only-saved-pieces-can-be = Only saved pieces can be ordered, and there are none yet. Plan{ " " }
order-sentence-rings = rings
order-sentence-or = { " " }or a{ " " }
order-sentence-finding = finding
order-sentence-save = { " " }and save it.
order-sentence-for = For{ " " }
order-sentence-stock = stock
order-sentence-customer = Customer
order-sentence-and = , and{ " " }
order-sentence-how-many = how many
order-sentence-how-many-2 = How many
order-sentence-of = { " " }of{ " " }
order-sentence-saved-piece = a saved piece
order-sentence-in = { " " }in{ " " }
order-sentence-wire = Wire
order-sentence-its-own-wire = its own wire
order-sentence-with = { " " }with{ " " }
order-sentence-no = no
order-sentence-spares-percent = Spares, percent
order-sentence-spares = { " " }spares
order-sentence-due = , due{ " " }
order-sentence-no-date = no date
order-sentence-due-date = Due date
order-sentence-add-order = Add order
order-sentence-add-another-piece = Add another piece
order-sentence-remove-last = Remove the last

## orders-frame

orders-frame-named = Orders
orders-frame-orders = Orders
orders-frame-schedule = Schedule
orders-frame-finished-stock = Finished stock

## orders-view

orders-view-closed-it = Closed: { $name }.
orders-view-reopened-it = Reopened: { $name }.
orders-view-ready = ready { $last }
orders-view-started = Started: { $name }.
orders-view-handed-over = Handed over: { $n } of { $name }.
orders-view-ordered-again-for = Ordered again for { $forwhom }.
orders-view-change = Change
orders-view-order-same-again = Order the same again
orders-view-close-order = Close order
orders-view-make = to make
orders-view-in-progress = in progress
orders-view-ready-hand-over = ready to hand over
orders-view-handed-over-2 = handed over
orders-view-in-stock = in stock
orders-view-in-bags = in bags
orders-view-loading-orders = Loading orders…
orders-view-no-orders-yet-enter-above = No orders yet. Enter above who wants how many of what. Bags in stock cover it first; the rest goes into your schedule.
orders-view-order-for = the order for { $forwhom }
orders-view-start-batch = Start batch of { $tomaken }
orders-view-hand-over = Hand over
orders-view-closed-orders = { " " }Closed orders{ " " }
orders-view-cutting-plan-for-all-open = Cutting plan for all open orders
orders-view-reopen = Reopen
orders-view-handed-over-all = Handed over: everything in bags for { $forwhom }.
orders-view-hand-over-everything = Hand over everything
orders-view-none-closed = None closed.
orders-view-no-open-order = There is no open order number { $id }. It may be closed.
orders-view-hand-over-2 = Hand over { $name }
orders-view-wire-stock = Wire stock
orders-view-short-of-wire = Short of wire: { $short }
orders-view-take-set-aside = Take what is set aside for other orders too
orders-view-in-bags-for-this-line = { $most } are in bags for this line.

## shelf-view

shelf-view-added-finished-stock = Added to finished stock: { $name }.
shelf-view-select = Select { $name }
shelf-view-take-out = Take out of
shelf-view-take-out-2 = Take out
shelf-view-put-back-into = Put back into
shelf-view-put-back = Put back
shelf-view-count-again = Count again:
shelf-view-save-count = Save count
shelf-view-make-again = Make again:
shelf-view-start-batch = Start batch
shelf-view-started-as-was-made = Started: { $name }, as it was made.
shelf-view-in-bag = { $name }: { $record } in the bag.
shelf-view-removed-from-stock = Removed from stock: { $name }.
shelf-view-count-again-2 = Count again
shelf-view-edit-name-place-note = Edit name, place, note
shelf-view-labels = Labels
shelf-view-remove-from-stock = Remove from stock
shelf-view-choose-saved-piece-in = Choose the saved piece in it.
shelf-view-not-number-pieces-enter-1 = “{ $count }” is not a number of pieces. Enter 1 to 100,000.
shelf-view-there = There are{ " " }
shelf-view-how-many = how many
shelf-view-how-many-2 = How many
shelf-view-of = { " " }of{ " " }
shelf-view-saved-piece = a saved piece
shelf-view-in = { " " }in{ " " }
shelf-view-which-drawer = which drawer
shelf-view-where = Where
shelf-view-add-finished-stock = Add to finished stock
shelf-view-match-lost-piece = Match a lost piece
shelf-view-find-bag = Find a bag
shelf-view-selected-bags = the selected bags
shelf-view-labels-2 = Labels of { $bags }
shelf-view-loading-finished-stock = Loading finished stock…
shelf-view-no-bag-with-that-name = No bag with that name.
shelf-view-no-bags-yet-batch-fills = No bags yet. A batch fills one when it is done. Add what you already have with the sentence above; it covers orders from then on.
shelf-view-filled = filled { $filledon }
shelf-view-make-again-2 = Make again
shelf-view-there-in = There are { $counted } in it.

## session-line

session-line-until = { $named }, { $name }, until { $to }

## schedule-view

schedule-view-left-out = Left out: { $day }, { $clock }.
schedule-view-unpinned = Unpinned.
schedule-view-not-before-another-session = Not before another session…
schedule-view-split = Split…
schedule-view-step = step { $stepn }
schedule-view-skipped-session = Skipped the session of { $from }.
schedule-view-first-others-not-before = { $stepn }: { $firstn } first, the others not before { $at }.
schedule-view-not-before = { $stepn }: not before { $at }.
schedule-view-planning-your-schedule = Planning your schedule…
schedule-view-hours-limits = Hours and limits
schedule-view-print-next-days-sheet = Print the next day’s sheet
schedule-view-calendar = Calendar
schedule-view-looking-for-what-would-help = Looking for what would help…
schedule-view-more = And { $unmet } more
schedule-view-what-would-help = What would help
schedule-view-there-work-but-no-time = There is work, but no time for it in your hours.{ " " }
schedule-view-enter-your-bench-hours = Enter your bench hours
schedule-view-nothing-make-add-order-or = Nothing to make. Add an order or start a batch, and it is planned into your hours here: by due date, with rests, and with the tumbler running while you do something else.
schedule-view-skipped = skipped
schedule-view-work-after-all = Work after all
schedule-view-light = light
schedule-view-moderate = moderate
schedule-view-heavy = heavy
schedule-view-hands = Hands: { $strain }
schedule-view-limit = { $handsmin }, { $strainshare } % of limit
schedule-view-free = free
schedule-view-skip-this-session = Skip this session
schedule-view-about = { $from }, about { $handsmin }
schedule-view-of = { " " }of { $ofn }
schedule-view-on-its-own = On its own
schedule-view-to = { $from } to { $to }
schedule-view-pinned-by-you = Pinned by you
schedule-view-unpin = Unpin
schedule-view-uses-your-own-pace = Uses your own pace:{ " " }
schedule-view-times-as-long-as-usual = { $i }{ $operation } { $share } times as long as usual

## words

words-no-due-date = no due date
words-days-late = { $days } days late
words-day-late = a day late
words-due-today = due today
words-due-tomorrow = due tomorrow
words-due-in-days = due in { $days } days
