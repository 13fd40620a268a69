## paper-calendar

paper-calendar-bench-sessions = Bench sessions
paper-calendar-runs-on-its-own = Runs on its own.
paper-calendar-at-bench = At the bench: { $each }
paper-calendar-about-min = { $run }, about { $hands_min } min

## paper-card

paper-card-50-mm-measure-before-you = 50 mm: measure it before you trust the drawing
paper-card-2-in = 2 in
paper-card-lorimant-card-strength-cracking-figures = Lorimant card. Strength and cracking figures are estimates, not ratings. Print at 100 %.
paper-card-page = { $name }, page { $done }
paper-card-true-size = { $fits } % of true size
paper-card-true-size-2 = true size
paper-card-front-side = Front and side: { $size }
paper-card-mm = , mm
paper-card-times-with-its-dimensions = { $large } times, with its dimensions{ $in_mm }
paper-card-in-rows-that-follow-on = , in { $rows } rows that follow on
paper-card-blank-true-size-cut-flush = The blank, true size{ $more }: cut { $flush_mm }, flush to flush; marks from the left
paper-card-for-bag = For the bag: { $rows }.
paper-card-finding = finding
paper-card-marks = marks
paper-card-wire = wire
paper-card-wraps = wraps
paper-card-each-blank = each blank
paper-card-held-on = held on

## paper-export-chain

paper-export-chain-this-chain-could-not-be = This chain could not be calculated.
paper-export-chain-seen = { $name } seen: { $view }.
paper-export-chain-loads-minutes-estimates-wear-glasses = { $date }. Loads and minutes are estimates. Wear glasses when cutting. Rest your hands.
paper-export-chain-from-front = from the front
paper-export-chain-from-above = from above
paper-export-chain-along = along it
paper-export-chain-true-size = { $says }, { $scale } of true size
paper-export-chain-true-size-2 = { $says }, true size
paper-export-chain-50-mm-measure-before-you = 50 mm: measure it before you trust the drawing
paper-export-chain-2-in = 2 in
paper-export-chain-rings = { $name }: { $rings_n } rings of { $wire }
paper-export-chain-weaving-pre-close-rings-open = Weaving it: pre-close { $shut_before_n } rings, open { $open_n }; { $cells_n } rows.
paper-export-chain-row-ring = { $n }. Row { $row }, ring { $in_row } of { $of_row }: { $ring }
paper-export-chain-from-here-repeats-steps-again = From here it repeats: steps { $n } to { $until } again and again, each time { $period } on, to row { $cells_n }.

## paper-cut-plan

paper-cut-plan-cutting-plan = Cutting plan: { $wire }
paper-cut-plan-short-wire = Short: { $n } of { $demand }, { $length_mm } of wire.
paper-cut-plan-lorimant-cutting-plan-page-strips = Lorimant cutting plan, page { $number }. Strips are to scale with each other; red is scrap.

## paper-cut-sheet

paper-cut-sheet-50-mm-measure-before-you = 50 mm: measure it before you trust the drawing
paper-cut-sheet-2-in = 2 in
paper-cut-sheet-lorimant-cut-sheet-strength-cracking = Lorimant cut sheet. Strength and cracking figures are estimates, not ratings. Print at 100 %.
paper-cut-sheet-true-size = true size
paper-cut-sheet-true-size-2 = { $scale } % of true size
paper-cut-sheet-on-rod-one-ring-closed = On the rod, and one ring closed: drawn { $large } times true size
paper-cut-sheet-same = The same, { $scale }
paper-cut-sheet-strip-one-ring-straight = The strip, one ring straight: { $scale }

## paper-day-sheet

paper-day-sheet-at-bench = At the bench, { $day }
paper-day-sheet-minutes-estimates-rest-when-your = Minutes are estimates. Rest when your hands need it.
paper-day-sheet-nothing-planned-for-this-day = Nothing is planned for this day.
paper-day-sheet-about-min-handwork = { $clock }: about { $hands_min } min of handwork
paper-day-sheet-about-min = { $run }, about { $hands_min } min
paper-day-sheet-of = { $n } of { $of_n }
paper-day-sheet-on-its-own = On its own, { $from } to { $to }: { $named }, { $name }

## paper-export-finding

paper-export-finding-this-finding-could-not-be = This finding could not be calculated.

## paper-label

paper-label-bag = bag { $id }
paper-label-too-small = A label of { $wide } × { $high } mm is too small for the text of “{ $name }”. Enter at least { $width } × { $height } mm.
paper-label-rings = { $rings_n } rings
paper-label-wire-per-ring = wire per ring
paper-label-ring-inside = ring inside

## paper-export

paper-export-this-plan-could-not-be = This plan could not be calculated.
paper-export-there-no-file-called-there = There is no file called { $file }. There are { $known }.

## paper-rack-read

paper-rack-read-this-table-cannot-be-read = This table cannot be read: { $error }.
paper-rack-read-this-line-has-cells-but = This line has { $record } cells, but the table has { $headings } columns. Put text that contains separators in quotation marks.
paper-rack-read-could-be-or-write-as = { $cell } could be { $whole },{ $rest } or { $whole }{ $rest }. Write it as one of these.
paper-rack-read-not-amount-money-write-as = { $cell } is not an amount of money. Write it as 1240.50, without the currency.
paper-rack-read-missing = The { $heading } is missing.
paper-rack-read-column-empty-here-number-missing = The column { $heading } is empty here: a number is missing.
paper-rack-read-lots-name-missing = The lot's name is missing.

## paper-rack-tables

paper-rack-tables-first-line-must-be-headings = The first line must be the headings of a table of lots ({ $wanted }), of stock history ({ $wanted2 }), of how wires are kept ({ $wanted3 }), or of scrap ({ $wanted4 }).
paper-rack-tables-line-1 = line 1
paper-rack-tables-not-heading-this-table-known = “{ $shown }” is not a heading of this table. Known: { $table }.

## paper-pdf

paper-letter-without-type = “{ $letter }” (U+{ $code }) cannot be printed: the program's fonts don't have it. Use Latin, Greek or Cyrillic letters in the name and the note.
