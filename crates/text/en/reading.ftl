## day

day-write-as-5-december-friday = Write it as 5 December, Friday or in 2 weeks.
day-write-as-5-december-2-weeks-ago = Write it as 5 December, Friday or 2 weeks ago.
day-not-been-yet = { $day } is in the future. Enter today or an earlier day.
day-not-day = { $text } is not a day. { $EXAMPLE }
day-could-be-or-write-date = { $text } could be { $first } or { $second }. Write the date.
day-check-day = { $long } is a { $weekday }. Check the day.
day-there-no = There is no { $day } { $name }{ $year }.
day-could-be-or-write-month = { $text } could be { $one } or { $other }. Write the month as a word.

## field

field-5-mm-3-16-or = 5 mm, 3/16" or 18 awg
field-2-mm-or-2-mm = 2 mm, or -2 mm where it was missing
field-2-3-5-mm = 2, 3, 5 mm
field-3-m-10-ft-or = 3 m, 10 ft or 50 g
field-12-or-1-5-h = 12 or 1.5 h
field-18-00-or-6-pm = 18:00 or 6 pm
field-nothing-entered-write-as = Nothing entered. Write it as { $reads }.
field-not-valid-write-as = { $text } is not a valid { $noun }. Write it as { $example }.
field-neither-length-nor-weight-try = { $text } is neither a length nor a weight. Try 3 m, 10 ft or 50 g.
field-enter-wire-first = Enter the wire first.

## numbered

numbered-needle = { $us ->
    [true] US
   *[other] UK
} { $number } needle
numbered-us-needle = US { $number } needle
numbered-number-drill = number { $n } drill
numbered-letter-drill = letter { $letter } drill

## rod

rod-not-rod-try-5-mm = { $text } is not a rod. Try 5 mm, 3/16 in dowel, 6 mm hexagonal rod or 8 × 5 mm oval rod.

## reads

reads = kind of field
reads-length = length
reads-over = length left over
reads-lengths = lengths
reads-of-wire = length or weight of wire
reads-mass = weight
reads-money = amount of money
reads-percent = share in percent
reads-count = whole number
reads-minutes = time
reads-clock = time of day
reads-newtons = load

## reading-either

reading-either-silver = What fineness of silver? Sterling, fine, or a filled or plated wire.
reading-either-ss = “SS” is sterling silver to some shops and stainless steel to others.
reading-either-fs = “FS” could be fine silver: please check.
reading-either-sf = “SF” could be silver-filled: please check.
reading-either-gold = What fineness of gold, or gold-filled or plated?
reading-either-bronze = Which bronze? Wire is usually phosphor bronze; red brass is also sold as bronze.
reading-either-steel = Which steel: stainless or mild?
reading-either-935 = 935 silver is germanium sterling to some, and plain silver of that fineness to others.
reading-either-14k = 14 k solid or 14 k gold-filled?
