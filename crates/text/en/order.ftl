## order-bag

order-bag-this-batch-isnt-done-yet = This batch isn't done yet. You can bag it after its last step.
order-bag-this-batch-has-no-good = This batch has no good pieces, so there is nothing to bag.
order-bag-one-single-without-its-pair = And one single without its pair.
order-bag-enter-how-many-at-least = Enter how many, at least one.
order-bag-cannot-be-taken-out-there = { $n } cannot be taken out: there are { $n2 } in it.
order-bag-too-many-for-one-bag = { $n } are too many for one bag. Enter at most { $MOST_IN_A_BAG }.
order-bag-enter-what-in-bag = Enter what is in the bag.

## label

label-coils = { $n } of { $length }
label-for = { $rings_n } for { $length }

## order

order-share-spares = share of spares
order-enter-name-for-this-line = Enter a name for this line.
order-cannot-be-ordered-enter-1 = { $n } cannot be ordered. Enter 1 to { $MOST_PIECES }.
order-cannot-be-handed-over-only = { $handed_n } cannot be handed over: only { $n } were ordered.
order-own-stock = Own stock
order-orders-cannot-be-due-in = Orders cannot be due in the year { $due }. Enter a year from { $from } to { $to }.
order-order-lines-cannot-be-saved = An order of { $lines } lines cannot be saved. Enter 1 to { $MOST_LINES }.
order-this-order-has-no-line = This order has no line { $line }.
order-cannot-be-handed-over-still = { $n } cannot be handed over: { $owed_n } of { $name } are still owed.
order-cannot-be-handed-over-in = { $n } cannot be handed over: { $there_n } of { $name } are in bags.

## cover

cover-set-aside = { $n } in bags are free for this order; the rest is set aside for { $whom }. Choose to take those too, or hand over fewer.

## wire-short

wire-short = { $length } of { $wire }

## recipe

recipe-start-with-wire-measure-how = Start with the wire: measure how thick it is.

## single

single-measure = measure
single-one-measurement-fits-too-many = One measurement fits too many pieces. Enter at least two: the wire and the length.
single-for = { $what } { $made } for { $measured }

## to-make

to-make-cannot-be-made-with-workshop = { $name } cannot be made with the workshop as it is now: { $faults }
to-make-batch = batch { $id }
to-make-order = order { $order }

## counting

counting = change of a count
counting-taken-out = taken out
counting-put-back = put back
counting-counted-again = counted again

## order-state

order-state = status of an order
order-state-to-make = to make
order-state-in-the-making = in progress
order-state-ready = ready
order-state-handed-over = handed over

## label-row

label-row-batch = batch
label-row-coils = coils
label-row-cut = cut
label-row-finish = finish
label-row-jaw = jaw
label-row-place = place
label-row-rings = rings
label-row-rod = rod
label-row-wire = wire
label-row-wraps = wraps
