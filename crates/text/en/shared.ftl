## fault

fault-invisible-character = The { $noun } contains an invisible character (U+{ $code }). Type it again; it may have been copied along.
fault-characters-long-use-at-most = The { $noun } is { $length } characters long. Use at most { $most }.
fault-in = { " " }({ $least } to { $most } in)
fault-can-be-from = It can be from { $least } to { $most }{ $unit }{ $inches }.
fault-not-number = The { $noun } is not a number. { $right }
fault-negative = The { $noun } is negative ({ $value }{ $unit }). { $right }
fault-zero = The { $noun } is zero. { $right }
fault-turns = { " " }{ $one ->
    [true] turn
   *[other] turns
}
fault-too-small = The { $noun } of { $value }{ $of_it } is too small. { $right }
fault-too-large = The { $noun } of { $value }{ $of_it } is too large. { $right }

## working

working-so = { $self }, so { $taken }

## role

role = part of a drawing
role-wire = wire
role-ball = ball
role-rod = rod
role-rod-edge = edge of the rod
role-tape = tape
role-ghost = other state
role-kerf = cut
role-ruler = ruler
role-mark = mark
role-break = break

## anchor

anchor = anchor of a text
anchor-start = start
anchor-middle = middle
anchor-end = end

## question

question = question
question-cut = Cut
question-in-your-hand = In your hand
question-on-the-rod = On the rod
question-off-the-spool = Off the spool
question-will-it-hold = Will it hold

## level

level = level
level-note = note
level-watch = watch
level-stop = stop

## count

count-open-ring = { $n ->
    [one] { $n } open ring
   *[other] { $n } open rings
}
count-pair = { $n ->
    [one] { $n } pair
   *[other] { $n } pairs
}
count-pre-closed-ring = { $n ->
    [one] { $n } pre-closed ring
   *[other] { $n } pre-closed rings
}
count-ring-added = { $n ->
    [one] { $n } ring added
   *[other] { $n } rings added
}
count-spare-ring = { $n ->
    [one] { $n } spare ring
   *[other] { $n } spare rings
}
count-blank = { $n ->
    [one] { $n } blank
   *[other] { $n } blanks
}
count-cell = { $n ->
    [one] { $n } cell
   *[other] { $n } cells
}
count-chain = { $n ->
    [one] { $n } chain
   *[other] { $n } chains
}
count-coil = { $n ->
    [one] { $n } coil
   *[other] { $n } coils
}
count-day = { $n ->
    [one] { $n } day
   *[other] { $n } days
}
count-hour = { $n ->
    [one] { $n } hour
   *[other] { $n } hours
}
count-line = { $n ->
    [one] { $n } line
   *[other] { $n } lines
}
count-load = { $n ->
    [one] { $n } load
   *[other] { $n } loads
}
count-minute = { $n ->
    [one] { $n } minute
   *[other] { $n } minutes
}
count-pack = { $n ->
    [one] { $n } pack
   *[other] { $n } packs
}
count-piece = { $n ->
    [one] { $n } piece
   *[other] { $n } pieces
}
count-pull = { $n ->
    [one] { $n } pull
   *[other] { $n } pulls
}
count-ring = { $n ->
    [one] { $n } ring
   *[other] { $n } rings
}
count-row = { $n ->
    [one] { $n } row
   *[other] { $n } rows
}
count-second = { $n ->
    [one] { $n } second
   *[other] { $n } seconds
}
count-spool = { $n ->
    [one] { $n } spool
   *[other] { $n } spools
}
count-time = { $n ->
    [one] { $n } time
   *[other] { $n } times
}
count-turn = { $n ->
    [one] { $n } turn
   *[other] { $n } turns
}

## sentence

sentence-and = { " " }and{ " " }
sentence-from = { " " }from{ " " }
sentence-in = { " " }in{ " " }
sentence-of = { " " }of{ " " }
sentence-or = { " " }or{ " " }

## noun

noun-currency = currency
noun-customer = customer
noun-dimension = dimension
noun-name = name
noun-note = note
noun-part = part
noun-place = place
noun-reason = reason
