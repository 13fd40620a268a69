## ask-line

ask-line-open-plan = Open the plan
ask-line-open-drawing = Open the drawing
ask-line-open-chain = Open the chain
ask-line-choose-wire = Choose wire
ask-line-see-cost = See the cost
ask-line-fix-problem = Fix a problem
ask-line-match-lost-piece = Match a lost piece
ask-line-24-pairs-ear-wires-20 = 24 pairs of ear wires, 20 ga sterling
ask-line-how-many-turns-for-200 = how many turns for 200 rings 5 mm inside 18 ga copper
ask-line-what-can-i-make-with = what can I make with 2 ft of 20 ga copper
ask-line-ask-rings-findings-sizes-lengths = Ask: rings, findings, sizes, lengths
ask-line-type-what-you-want-make = Type what you want to make
ask-line-24-pairs-hooks-20-ga = 24 pairs hooks 20 ga sterling half-hard
ask-line-42-cm-byzantine-1-2 = 42 cm byzantine 1.2 mm red brass 5 mm rod
ask-line-120-rings-5-mm-inside = 120 rings 5 mm inside copper 18 soft
ask-line-please-add = Please add: { $missing }.
ask-line-understood = Understood: { $understood }
ask-answer-show-more = { $n } more assumed
ask-answer-show-less = Show less
ask-answer-print = Print
ask-answer-saved = Saved
ask-line-open = Open { $label }
ask-line-open-page = Open the page
ask-line-try = Try:{ " " }

## today-view

today-view-undone = Undone: { $sentence }
today-view-today = Today
today-view-cut-lists-mandrels-bench-steps = Cut lists, mandrels and bench steps for wire findings
today-view-now-at-bench = Now at the bench
today-view-next-at-bench = Next at the bench
today-view-about-handwork = about { $handsmin } of handwork
today-view-about = : { $counted }, { $stepstold }, about { $handsmin }
today-view-go-bench = Go to the bench
today-view-open-order-start = Open the order to start it
today-view-full-schedule = Full schedule
today-view-no-orders-nothing-on-bench = No orders, and nothing on the bench.
today-view-add-order-for-customer-or = Add an order, for a customer or for stock. Bags you have cover it first; the rest goes into your schedule, is led step by step, and is bagged with a label that tells how to make it again.
today-view-add-order = Add an order
today-view-nothing-needs-your-hands-right = Nothing needs your hands right now.
today-view-loading = Loading…
today-view-on-bench = On the bench:{ " " }
today-view-next = , next { $next }
today-view-on-its-own = Running by itself
today-view-ready-in = ready in { $left }, { $readyat }
today-view-ready = ready
today-view-will-be-late = Will be late
today-view-more = And { $late } more.
today-view-see-what-would-help = See what would help
today-view-hand-over = To hand over
today-view-due = Due
today-view-short-wire = Short of wire
today-view-go-wire = Go to Wire
today-view-latest-change = Latest change
today-view-undo = Undo

## first-steps

first-steps-title = Set up your bench
first-steps-tools = Which rods do you wind on?
first-steps-tools-why = Press what you have. Plans then choose from your own rods and say which ring each gives.
first-steps-added = added
first-steps-other-tools = Enter other tools
first-steps-skip = Skip
first-steps-wire = Add a spool of wire
first-steps-wire-why = Paste the shop’s listing or say what it is. From then on you see what is left of it.
first-steps-add-wire = Add wire
first-steps-piece = Plan a first piece and save it
first-steps-piece-why = Or type what you want to make in the line above.
first-steps-rings = Jump rings
first-steps-ear-wires = Ear wires
first-steps-all-findings = All findings

## best-wires

best-wires-first = The wires to take first
