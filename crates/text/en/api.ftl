## api-device

api-device-iphone = an iPhone
api-device-ipad = an iPad
api-device-mac = a Mac
api-device-android = Android
api-device-windows = Windows
api-device-linux = Linux
api-device-chromebook = a Chromebook
api-device-on = { $browser } on { $system }
api-device-program-on = a program on { $system }
api-device-program = a program

## api-document

api-document-this-file-says-must-say = This file says it is { $format }; it must say “{ $wanted }”.
api-document-this-file-version-this-program = This file is of version { $version }; this program reads version { $VERSION }.

## api-plans

api-plans-file-holds-no-plans-patterns = The file holds no plans, findings, chains, weaves, rods, pliers or blades.

## api-rack

api-rack-file-holds-no-lots-keepings = The file holds no lots, wires to keep in stock, scrap or pieces to cut.

## api-extract

api-extract-file-not-utf-8-text = The file is not UTF-8 text: byte { $at } is wrong.
api-extract-request-ended-too-early = The request ended too early.
api-extract-there-nothing-at-its-number = There is nothing at { $uri }: its number cannot be read.
api-extract-field-twice = A field is there twice: the second time in line { $line }, column { $column }. Give each once.
api-extract-not-json = The request is not JSON: it cannot be read from line { $line }, column { $column } on.
api-extract-this-list-must-be-object = This is a list; it must be an object with named fields.

## api-guard

api-guard-this-workshop-locked-enter-its = This workshop is locked. Enter its passphrase.
api-guard-this-server-does-not-answer = This server does not answer to that host name.
api-guard-requests-from-pages-another-site = Requests from pages of another site are refused.

## api-heavy

api-heavy-server-busy-with-other-long = The server is busy with other long work. Nothing was changed; try again in a few seconds.

## api-instrument

api-instrument-says-nothing = it says nothing
api-instrument-hung-up = it hung up
api-instrument-broke-off-in-middle-line = it broke off in the middle of a line

## api-kept

api-kept-workshops-name = workshop's name
api-kept-there-no-time-zone-write = There is no time zone { $time_zone }. Write it as Europe/Vienna.
api-kept-step-pinned = step { $step_n }, pinned
api-kept-step-split = step { $step_n }, split
api-kept-of = { $pieces_n } of { $entry }
api-kept-not-number-pieces-enter-1 = { $pieces_n } is not a number of pieces. Enter 1 to { $MOST_PIECES }.
api-kept-enter-name-for = Enter a name for the { $noun }.

## api-paper

api-paper-label = label
api-paper-gap = gap
api-paper-sheet = sheet
api-paper-height-label = height of a label
api-paper-left-margin = left margin
api-paper-upper-margin = upper margin
api-paper-height-sheet = height of the sheet
api-paper-labels-do-not-fit-side = { $n } labels do not fit side by side or below each other. Enter 1 to { $most }.
api-paper-that-many-labels-need-mm = That many labels need { $mm } mm, and the sheet has { $sheet } mm.

## api-problem

api-problem-passphrase-required = Passphrase required
api-problem-passphrase-was-wrong-several-times = The passphrase was wrong several times. Try again in { $seconds }.
api-problem-too-many-attempts = Too many attempts
api-problem-not-found = Not found
api-problem-not-available-as-available = { $what } not available as { $name }. Available: { $made }.
api-problem-invalid-request = Invalid request
api-problem-this-address-does-not-accept = This address does not accept that method. See /api/openapi.json.
api-problem-method-not-allowed = Method not allowed
api-problem-request-too-large-for-this = The request is too large for this server.
api-problem-too-large = Too large
api-problem-does-not-answer-check-that = The { $what } does not answer: { $error }. Check that it is on and connected, or { $instead }.
api-problem-no-answer = No answer
api-problem-not-saved = Not saved
api-problem-workshops-file-could-not-be = The workshop's file could not be read or written. Nothing was changed.
api-problem-internal-error = Internal error
api-problem-invalid-input = Invalid input
api-problem-cannot-undo = Cannot undo
api-problem-changed-elsewhere = Changed elsewhere
api-problem-cannot-restore = Cannot restore
api-problem-nothing-was-changed-disk-with = Nothing was changed: the disk with the workshop's file is full. Free some space, then try again.
api-problem-nothing-was-changed-workshops-file = Nothing was changed: the workshop's file is read-only. Let this program write to it and to its folder.
api-problem-nothing-was-changed-another-program = Nothing was changed: another program is using the workshop's file. Close it, then try again.
api-problem-nothing-was-changed-workshops-file-could = Nothing was changed: the workshop's file could not be written. Check that the disk has space and the file is still there, then try again.

## api-ask

api-ask-fields-too-many-read-at = { $n } fields are too many to read at once. Send at most { $MOST_FIELDS }.

## api-backup

api-backup-workshop-as-was-before-saved = { " " }The workshop as it was before is saved as “{ $kept }”.
api-backup-copy-restored = The copy is restored.{ $before }
api-backup-file-ended-too-early-nothing = The file ended too early. Nothing was changed.
api-backup-nothing-saved-for-now = Nothing is saved for now: { $why }
api-backup-there-no-copy-called = There is no copy called { $name }.

## api-bench

api-bench-left = { $name }, { $left } left{ $instead }

## api-chains

api-chains-this-search-no-longer-running = This search is no longer running. Start it again.
api-chains-way-across = way across

## api-checks

api-checks-reading-needs-key-8-64 = A reading needs a key of 8 to 64 characters, so that it counts only once however often it is sent.
api-checks-enter-reading-value-or-what = Enter the reading: a value, or what you typed.
api-checks-this-measurement-not-trial-so = This measurement is not a trial, so there is no blank to accept. Start a trial of the finding.
api-checks-simulated-caliper-has-nothing-measure = The simulated caliper has nothing to measure there: the piece has no such dimension.
api-checks-type-reading = type the reading
api-checks-caliper-sent-no-reading-press = The caliper sent no reading. Press its button, or type the reading.

## api-cutting

api-cutting-there-no-cutting-plan-number = There is no cutting plan number { $id } being worked out. Start it again.
api-cutting-nothing-selected-as-cut-so = Nothing is selected as cut, so there is nothing to book.
api-cutting-all-this-for-batches-orders = All of this is for batches and orders: it is booked at the bench as you cut.
api-cutting-one-lot = one lot
api-cutting-lots = { $lots_n } lots
api-cutting-list-now-empty = { " " }The list is now empty.
api-cutting-on-list-still-be-cut = { " " }{ $left } on the list are still to be cut.
api-cutting-booked-from = Booked: { $blanks } from { $lots }.{ $picked }
api-cutting-cutting-plan = A cutting plan is
api-cutting-cut-plan-pdf-cut-plan = cut-plan.pdf and cut-plan.csv

## api-kept

api-kept-pieces-too-many-draw-at = { $n } pieces are too many to draw at once. Enter at most { $MOST_DRAWN }.

## api-routes-labels

api-routes-labels-label = A label is
api-routes-labels-label-svg-label-pdf = label.svg and label.pdf
api-routes-labels-labels-cannot-be-printed-at = { $bags } labels cannot be printed at once. Enter 1 to { $MOST_LABELS }.
api-routes-labels-labels = Labels are
api-routes-labels-labels-pdf-labels-svg = labels.pdf and labels.svg
api-routes-labels-save-labels-as-pdf = save the labels as PDF
api-routes-labels-there-no-sheet-in-tray = There is no sheet { $n } in the tray.

## api-lots

api-lots-enter-how-much-length-mm = Enter how much: length_mm or typed, one of the two.
api-lots-type-weight = type the weight
api-lots-real-scale-connected-put-spool = A real scale is connected: put the spool on it.

## api-making

api-making-enter-what-make-rings-finding = Enter what to make: “rings”, “finding” or “chain”.
api-making-rings-finding-chain-several-pieces = “rings”, “finding” and “chain” are several pieces. Enter one at a time.

## api-mine

api-mine-called = { $kind }: { $name }
api-mine-kind-finding = finding
api-mine-kind-rings = rings
api-mine-kind-chain = chain
api-mine-kind-order = order
api-mine-kind-batch = batch
api-mine-kind-bag = bag
api-mine-kind-wire = wire
api-mine-kind-lot = lot
api-mine-orders = Orders
api-mine-schedule = Schedule
api-mine-wire-stock = Wire stock
api-mine-closed = , closed
api-mine-there-no-number = There is no { $noun } number { $n }.
api-mine-no-open-order-for = No open order is for “{ $name }”.
api-mine-cutting-plan = Cutting plan

## api-orders

api-orders-choose-saved-plan-or-finding = Choose a saved plan or finding, or give a piece; one of the two.
api-orders-open-order = open order
api-orders-this-order-has-no-line = This order has no line { $line }.
api-orders-all-this-line-in-bags = All of this line is in bags or in progress. Enter how many more, if you want more.

## api-plans

api-plans-table-could-not-be-written = The table could not be written: { $error }.

## api-rack-files

api-rack-files-tables = lots.csv, ledger.csv, buying.csv and scrap.csv
api-rack-files-there-no-table-there = There is no table { $table }. There are { $known }.
api-rack-files-line = line { $line }
api-rack-files-keep = { $wire }, keep { $keep_mm }
api-rack-files-table-empty-there-nothing-under = The table is empty: there is nothing under its headings.

## api-routes-rings

api-routes-rings-enter-wire-you-have-supply = Enter the wire you have: supply or typed, one of the two.
api-routes-rings-there-no-file-called-there = There is no file called { $file }. There are cut-sheet.pdf, cut-sheet.svg, label.pdf, plan.csv and plan.json.

## api-session

api-session-this-not-passphrase-check-capitals = This is not the passphrase. Check capitals and spaces.
api-session-this-device-no-longer-signed = This device is no longer signed in.

## api-sessions

api-sessions-servers = the server's
api-sessions-schedule = The schedule is
api-sessions-schedule-ics-day-pdf = schedule.ics and day.pdf

## api-whole

api-whole-file-ended-too-early = The file ended too early.
api-whole-whole-workshop-imported-as-was = The whole workshop is imported, as it was.
api-whole-all-this-here-already-nothing = All of this is here already. Nothing was changed.

## api-winder

api-winder-count-by-hand = count by hand
api-winder-turns-2 = turns
api-winder-real-winder-connected-use-its = A real winder is connected: use its own treadle.

## api-work

api-work-file-could-not-be-written = The file could not be written: { $error }.
api-work-this-could-not-be-calculated = This could not be calculated.
api-work-something-went-wrong-nothing-was = Something went wrong. Nothing was changed.

## api-session

api-session-passphrase-shorter-than-10-characters = The passphrase is shorter than 10 characters. A few words make a good one.

## api-assets

api-assets-nothing-at = There is nothing at { $path }.
api-assets-not-built = The front end is not built. Run `cargo xtask demo`, which builds it.

## api-misfit

api-decode-unknown-field = “{ $name }” is not a field here. Known: { $known }.
api-decode-unknown-word = { $word } is not known here. Known: { $known }.
api-decode-missing = “{ $name }” is missing.
api-decode-twice = “{ $name }” is there twice. Give it once.
api-decode-other-kind = This is { $got }. It must be { $wanted }.
api-decode-no-time = This cannot be read. Write a day as 2026-03-02, a time of day as 18:00, a moment as 2026-03-02T17:00:00Z.
api-decode-the-number = the number { $value }
api-decode-the-text = { $value }
api-decode-a-list = a list
api-decode-an-object = an object
api-decode-nothing = nothing
api-decode-number = a number
api-decode-whole-number-from-0 = a whole number, 0 or more
api-decode-whole-number = a whole number
api-decode-text = text
api-decode-true-or-false = true or false
api-decode-object-with-named-fields = an object with named fields

api-pulls-pull-test = pull test
