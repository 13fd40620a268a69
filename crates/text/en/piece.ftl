## mate

mate-of-the = { $what } of the { $name }
mate-ring = ring
mate-set-cannot-be-compared-enter = A set of { $parts } cannot be compared. Enter 2 to { $MOST_PARTS } parts.
mate-has-nothing-that-opens = has nothing that opens
mate-pulls-open-at = { " " }The { $called } pulls open at { $comes_off_n }.
mate-pulled-apart-gives-way-first = Pulled apart, the { $called } gives way first: { $text }.{ $others }
mate-nothing-in-this-set-opens = Nothing in this set opens when it is pulled.
mate-wire-does-not-fit-through = The { $what }: wire of { $wire } does not fit through its { $inside } inside.
mate-its-mouth-too-narrow-for = { $what }: its mouth of { $mouth } is too narrow for { $wire } wire.
mate-wire-goes-in-through-mouth = { $what }: { $wire } wire goes in through the mouth of { $mouth } and stays while there is a pull. Close the mouth below { $wire } to keep it for good.
mate-once-one-two-opened-sideways = , once one of the two is opened sideways
mate-wire-fits-its-inside-with = { $what }: { $wire } wire fits its { $inside } inside with { $inside_mm } to spare{ $open }.

## piece

piece-of = { $n } of { $flush_mm }

## called

piece-ring = ring
piece-chain = chain
