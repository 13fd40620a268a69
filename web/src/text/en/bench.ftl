## bench-view

bench-view-closed = Closed: { $name }.
bench-view-not-number-pieces-enter-1 = “{ $count }” is not a number of pieces. Enter 1 to 100,000.
bench-view-close-batch = Close batch
bench-view-all-made = all made: { $wholen }
bench-view-ready-in = { $next }: ready in { $ready }
bench-view-ready = { $next }: ready
bench-view-next-about-left = next: { $next }, about { $leftmin } left
bench-view-on-bench = On the bench
bench-view-make = Make{ " " }
bench-view-how-many = How many
bench-view-how-many-2 = how many
bench-view-of = { " " }of{ " " }
bench-view-saved-piece = a saved piece
bench-view-start-batch = Start batch
bench-view-loading-batches = Loading batches…
bench-view-no-batch-on-bench-choose = No batch on the bench. Choose a saved piece, enter how many, and press Start batch. You are led step by step: what to do, the number to read off, one press for each piece done.
bench-view-good = { " " }of { $piecesn } good
bench-view-do-these-together-with-one = Do these together, with one tool set-up
bench-view-of-2 = { $part } of { $name }
bench-view-then = ,{ " " }then{ " " }
bench-view-and = { " " }and{ " " }
bench-view-saves-about-set-up = Saves about { $savesmin } of set-up.
bench-view-tumble-these-together = Tumble these together

## caution-note

caution-note-understood = Understood

## lead-view

lead-view-ready = ready
lead-view-done = done
lead-view-in = It is in
lead-view-taken-out = Taken out
lead-view-start = Start it
lead-view-one-more = One more
lead-view-done-press = Done
lead-view-bench = Bench
lead-view-step = Step { $stepn } of { $tasks },{ " " }
lead-view-about-left = about { $leftmin } left,{ " " }
lead-view-good = { " " }{ $wholen } good{ " " }
lead-view-saved-here-will-sync-when = { " " }Saved here. It will sync when the server is back.{ " " }
lead-view-wire-from = { " " }Wire from{ " " }
lead-view-wire-not-in-stock = wire not in stock
lead-view-coil = coil { $nth } of { $all }
lead-view-of = { " " }of { $all }
lead-view-all-done = all done
lead-view-waits-for-step-before = waits for the step before
lead-view-back-one = Back one
lead-view-scrap-one = Scrap one
lead-view-undo-scrap = Undo scrap
lead-view-note = Note
lead-view-sound-on = Sound is on
lead-view-sound = Sound
lead-view-space-counts-one-backspace-goes = Space counts one, Backspace goes back, x scraps one, n notes, [ ] look at other steps
lead-view-back-bench = Back to Bench
lead-view-loading-step = Loading the step…

## made-batch

made-batch-closed = Closed: { $name }.
made-batch-bagged = Bagged: { $name }.
made-batch-made = made
made-batch-scrapped-at = { $one } scrapped at “{ $named }”{ $reason }
made-batch-put-them-in-bag-in = Put them in a bag in{ " " }
made-batch-which-drawer = which drawer
made-batch-where-bag = Where the bag is
made-batch-bag-label = Bag and label
made-batch-close-without-bagging = Close without bagging

## note-dialog

note-dialog-note = Note on this batch
note-dialog-save = Save note
note-dialog-goes-on = The note goes on with the bag.

## placing-step

placing-step-not-number-whole-rows-enter = “{ $rows }” is not a number of whole rows. Enter a number.
placing-step-all-rings-in = All rings are in.
placing-step-chain = chain { $chain } of { $ofchainsn }
placing-step-whole-row-done = Whole row done
placing-step-i-lost-my-place = I lost my place
placing-step-hold-up-by-its-start = Hold it up by its start and count the finished rows:{ " " }
placing-step-finished-rows = Finished rows
placing-step-continue-from-there = Continue from there

## rest-prompt

rest-prompt-you-have-worked-for-minutes = You have worked for { $atitmin } minutes. Rest your hands for { $restmin } minutes. Your place is saved.
rest-prompt-later = Later

## scrap-dialog

scrap-dialog-scrap-one = Scrap one
scrap-dialog-scrap = Scrap it
scrap-dialog-one-piece-leaves-batch-at = One piece leaves the batch at “{ $step }”, and its wire goes to the scrap of its metal.
scrap-dialog-see-if-can-be-rescued = See if it can be rescued first
scrap-dialog-reason-optional = Reason (optional)

## turn-counter

turn-counter-turn-counter = Turn counter
turn-counter-of = { " " }of { $says }
turn-counter-one-turn-t = One turn (t)
turn-counter-one-less = One less
turn-counter-count-with-winder = Count with the winder
turn-counter-stop = Stop
turn-counter-this-simulated-winder = { " " }(This is the simulated winder.)

## clock

clock-h = { $hours } h
clock-h-min = { $minutes } h { $minutes2 } min
clock-min = { $minutes } min
clock-less-than-minute = less than a minute
