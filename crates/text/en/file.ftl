## file-bench

file-bench-this-batch-closed-reopen-first = This batch is closed. Reopen it first.
file-bench-this-key-was-used-for = This key was used for another press of this batch. Give each press its own key.
file-bench-this-press-belongs-another-batch = This press belongs to another batch. Give each press its own key.
file-bench-this-batch-made-choose-lot = { $name } is { $record }, and this batch is made of { $piece }. Choose a lot of that wire.
file-bench-were-cut-in-one-press = { $of_n } were cut in one press: undo that many, so that their wire goes back to its lot.

## file-carried

file-carried-there-no-lot-in-stock = There is no lot “{ $shown }” in stock.
file-carried-lots-called-give-them-different = { $n } lots are called “{ $shown }”. Give them different names first.
file-carried-there-no-saved-plan-or = There is no saved plan or finding { $shown }.
file-carried-several-saved-pieces-called-give = Several saved pieces are called { $shown }. Give them different names first.

## file-checks

file-checks-reading = reading

## file-store-error

file-store-error-at = , at { $address }
file-store-error-not-undone-was-undone-already = not undone: it was undone already

## file-history

file-history-more = ; and { $n } more
file-history-added = added { $what } “{ $name }”
file-history-closed = closed { $what } “{ $name }”
file-history-archived = archived { $what } “{ $name }”
file-history-reopened = reopened { $what } “{ $name }”
file-history-restored = restored { $what } “{ $name }”
file-history-changed = changed { $what } “{ $name }”
file-history-finding = finding
file-history-measurement = measurement
file-history-chain = chain
file-history-weave = weave
file-history-pliers = pliers
file-history-rod = rod
file-history-blade = blade
file-history-lot = lot
file-history-batch = batch
file-history-bag = bag
file-history-ring-plan = ring plan
file-history-cutting-list = cutting list:
file-history-when-buy = when to buy
file-history-order = order of
file-history-in-schedule = in the schedule:
file-history-g-scrap = { $amount } g of scrap, { $of }
file-history-undid = undid: { $text }

## file-ledger

file-ledger-lot = the lot
file-ledger-pile = the pile
file-ledger-taken-out = taken out
file-ledger-put-in = put in
file-ledger-that-takes-off-only-left = That takes { $out } { $unit } off { $noun }, and only { $left } { $unit } are left. Nothing was booked.
file-ledger-line-history = line of the history

## file-store

file-store-workshops-file-damaged-what-can = the workshop's file is damaged. What can be read is shown. Restore a copy in Settings
file-store-disk-with-workshops-file-full = the disk with the workshop's file is full or failing. Everything can be read. Free some space, then start the program again
file-store-workshops-file-read-only-let = the workshop's file is read-only. Let this program write to it and to its folder, then start it again

## file-orders

file-orders-this-batch-has-been-started = This batch has been started, so its method stays. Close it and start another.
file-orders-nothing-of-it-in-bags = Nothing of this order is in bags yet.
file-orders-this-batch-closed-reopen-first = This batch is closed. Reopen it first.

## file-picks

file-picks-there-no-saved-plan-finding = There is no saved plan, finding or chain number { $entry }.

## file-store-place

file-store-place-its-name-not-readable-text = its name is not readable text

## file-restore

file-restore-empty = it is empty
file-restore-file-that-in-use = it is the file that is in use

## file-search

file-search-that-search-too-long-enter = That search is too long; enter at most { $LONGEST } characters.

## file-shelf

file-shelf-entry = entry

## file-sound

file-sound-lines-refer-something-that-not = { $n } lines of { $table } refer to something that is not there.
file-sound-lot-its-ledger-adds-up = Lot { $lot }: its ledger adds up to { $added } mm, and { $kept } mm are kept.
file-sound-record-cannot-be-read = A record cannot be read: { $error }.

## file-undo

file-undo-was-booked-by-press-at = It was booked by a press at the bench. Undo the press there, and its booking is undone too.
file-undo-change = change
file-undo-from = { " " }from { $device }
file-undo-undo-those-at-bench-first = Undo those at the bench first, or close the batch without bagging
file-undo-set-readings-aside-or-archive = Set the readings aside, or archive the measurement
file-undo-undo-those-first-or-correct = Undo those first, or correct the length of the lot
file-undo-entries-in-its-history = { $n ->
    [one] { $n } entry in its history
   *[other] { $n } entries in its history
}
file-undo-presses = { $n ->
    [one] { $n } press
   *[other] { $n } presses
}
file-undo-readings = { $n ->
    [one] { $n } reading
   *[other] { $n } readings
}
file-undo-at = { $by } at { $clock }
file-undo-on = { $by } on { $day } at { $clock }
file-undo-not-undone-has-since-was = not undone: the { $noun } “{ $name }” has { $what } since it was added, the last{ $when }. { $instead }
file-undo-not-undone-was-changed-since = not undone: “{ $name }” was changed since, the last time{ $when }. Undo that first, or change it by hand

## file-whole

file-whole-this-line-longer-than-any = this line is longer than any record of a workshop
file-whole-file-breaks-off-here-its = the file breaks off here: its end is missing
file-whole-this-workshop-already-has-data = This workshop already has data, and a whole one can only be imported into an empty one. Start the program with a new file (--data) and import it there. Plans and stock can be imported on their own.
file-whole-line = Line { $line_n }: { $message }.
file-whole-line-2 = line { $line_n }
file-whole-this-does-not-fit-lines = this does not fit the lines before it
file-whole-nothing-may-follow-end = nothing may follow the end
file-whole-this-must-be-heading-version = this must be the heading of { $FORMAT }, version { $VERSION }
file-whole-there-should-be-lines-before = there should be { $lines_n } lines before the end
file-whole-workshop-starts-with-its-heading = a workshop starts with its heading
file-whole-not-valid-must-be-from = { $n } is not a valid { $field }; it must be from 1 to { $MOST }
file-whole-not-date-time = { $moment } is not a date and time
file-whole-taken-out = taken out
file-whole-put-in = put in
file-whole-not-kind-stock-change = { $kind } is not a kind of stock change
file-whole-more-than-lot-can-hold = { $amount } is more than a lot can hold
file-whole-this-not-press-batch = this is not a press of a batch
file-whole-not-reading-must-be-from = { $value } is not a reading; it must be from 0 to 300
file-whole-there-no-record-number-before = there is no record number { $entry } before it
file-whole-there-no-shelf = there is no shelf “{ $shelf }”

## file-written

file-written-what-was-written-last-in = { $why }. What was written last is in the log beside it, and is shown again then

## file-error

file-error-sqlite = the workshop's file could not be read or written: { $of }
file-error-migration = the workshop's file could not be brought up to date: { $of }
file-error-unopened = the workshop's file could not be opened: { $of }
file-error-stranger = this is not a workshop's file: another program made it. It is left as it is
file-error-newer = a newer Lorimant wrote this file. Open it with that one; it is left as it is
file-error-held = another Lorimant is serving this file already{ $at }. Use that one, or stop it first
file-error-gone = nothing was changed: the workshop's file is no longer at { $of }. Put it back there, or restore a copy in Settings
file-error-replaced = nothing was changed: another file was put in the place of the workshop's, { $of }. Put the first one back, or use the one that is there now
file-error-overwritten = nothing was changed: something else wrote over the workshop's file, { $of }. Use what is there now, or restore a copy in Settings
file-error-damaged = the workshop's file is damaged: { $of }
file-error-read-only = nothing was changed: { $of }
file-error-unsound = this copy is not restored: { $of }. What was there is left as it is
file-error-occupied = there is a file called { $of } already; choose another name
file-error-pool = no reader of the workshop's file is free: { $of }
file-error-record = a record in the workshop's file cannot be understood: { $of }
file-error-missing = there is no { $what } number { $id }
file-error-conflict = it was changed elsewhere since you opened it
