## gauge

gauge-thicker-than = thicker than { $near }
gauge-thinner-than = thinner than { $near }
gauge-nearest-mm = nearest { $near } ({ $size } mm, { $share } % { $thicker ->
    [true] thicker
   *[other] thinner
})

## length

length-nothing-entered-try-5-5 = Nothing entered. Try 5, 5 mm, 3/16", 2 1/4 in or 18 awg.
length-try-5-5-mm-0 = Try 5, 5 mm, 0.5 cm, 3/16", 2 1/4 in, 18 awg or 18 swg.
length-not-length = { $text } is not a length. { $ways }
length-number-without-unit-read-as = A number without a unit is read as inches in this workshop.
length-fraction-without-unit-read-as = A fraction without a unit is read as inches.
length-read-as-your-gauge-system = Read as { $gauge }, your gauge system.
length-that-number-too-large-for = That number is too large for a length.
length-has-no-number-runs-from = { $system } has no number { $number }. It runs from { $thickest } to 40.
length-mm-in = { $mm } mm = { $inch } in
length-mm-in-2 = { $exact } mm ({ $inch } in)
length-mm = { $exact } mm
length-in-mm = { $inch } in ({ $exact } mm)
length-in-mm-2 = { $mm } in ({ $exact } mm)
length-mm-2 = { $mm } mm
length-in = { $inches } in
length-ft = { $feet } ft { $inches }
length-ft-2 = { $feet } ft
length-0-in = 0 in
length-mm-3 = { $marked } mm
length-in-2 = { $fraction } in
length-in-3 = { $mm } in
length-mm-in-3 = { $mm } mm ({ $mm2 } in)
length-in-4 = { $inch } in
length-ft-in = { $feet } ft { $inch } in

## words

words-and = { $before } and { $last }
words-not-known-known = { $typed } is not a known { $noun }.{ $hint } Known: { $known }.
words-did-you-mean = { " " }Did you mean “{ $word }”?

## number

number-could-be-or-write-as = { $text } could be { $value } or { $thousands }. Write it as one of these.
number-not-number-write-as-12 = { $text } is not a number. Write it as 12.5.
number-too-large-for-amount-money = { $text } is too large for an amount of money.

## gauge-system

gauge-system = gauge system
gauge-system-awg = AWG
gauge-system-swg = SWG
gauge-system-steel-wire = steel-wire gauge

## length-unit

length-unit = unit
length-unit-mm = mm
length-unit-inch = in

## scale

scale-metre = metre
scale-foot = foot

## date

date-short = { $day } { $month }
date-long = { $short } { $year }
date-on = { $weekday } { $short }
date-january = January
date-february = February
date-march = March
date-april = April
date-may = May
date-june = June
date-july = July
date-august = August
date-september = September
date-october = October
date-november = November
date-december = December
