## at-tool

at-tool-tip = tip
at-tool-on-jaw = The wire on the { $tool }, { $place } from the tip; beside it the same seen from the tip.
at-tool-on-ruler = The wire along the ruler, { $place } long.

## booking

booking-scrapped-at = { $name }, scrapped at “{ $named }”

## counter

counter-winder-sent-which-not-count = The winder sent { $text }, which is not a count of turns. It should send a line such as “turns 31.5”.

## load

load-with-each-other = { $name } with each other
load-and = { $name } and { $name2 }
load-g = { $mass_g } g of { $metals }: { $loads_n }.
load-these-hook-together-allow-min = { " " }These hook together: { $pairs }. Allow { $pick_out_min } min to separate them.

## bench

bench-enter-name-for-batch = Enter a name for the batch.

## agenda

agenda-there-no-such-step-pin = There is no such step to pin. Its batch or order is closed, or has fewer steps.

## promise

promise-ready-at-earliest-after-its = Ready { $on } at the earliest, after its due date.
promise-ready = Ready { $on }.
promise-ready-now-in-stock = Ready now: it is in stock.

## agenda-told

agenda-told-was-due-earliest-now = { $name } was due { $day }. Earliest now: { $done }.
agenda-told-due-late = { $name }, due { $day }: { $by_min } late.
agenda-told-due = , due { $day }
agenda-told-pinned-by-you = Pinned by you.
agenda-told-comes-out-tumbler-then = It comes out of the tumbler then.
agenda-told-after-ready-then = After “{ $named }”, ready then.
agenda-told-what-runs-on-its-own = What runs on its own is ready then.
agenda-told-tumbler-free-then = The tumbler is free then.
agenda-told-shares-tumbler-load = Shares the tumbler load.
agenda-told-tools-already-out = The tools are already out.
agenda-told-due-first-due = Due { $day }: the first due.
agenda-told-first-due = The first due.
agenda-told-goes-on-from-before = Goes on from before.
agenda-told-due-what-due-before-has = Due { $day }. What is due before it has to wait.
agenda-told-uses-time-while-what-due = Uses the time while what is due has to wait.
agenda-told-nothing-due-that-could-be = Nothing is due that could be done now.
agenda-told-due-works-out-better-in = Due { $day }. Works out better in this order.
agenda-told-works-out-better-in-this = Works out better in this order.
agenda-told-add-min-on = Add { $min } min on { $day }
agenda-told-make-fewer = Make { $n } fewer of { $name }
agenda-told-work-min-longer-each-session = Work { $min } min longer each session
agenda-told-use-softer-or-thinner-wire = Use softer or thinner wire, about two fifths easier on the hands
agenda-told-everything-done-on-time = everything is done on time
agenda-told-more-done-on-time = more is done on time
agenda-told-to = { $from } to { $to }
agenda-told-one-batch-late-or-finds = One batch is late or finds no time.
agenda-told-batches-late-or-find-no = { $n } batches are late or find no time.
agenda-told-nothing-has-due-date = Nothing has a due date.
agenda-told-on-its-due-day = on its due day
agenda-told-early = { $early } early
agenda-told-everything-on-time-ready = Everything is on time. { $name } is ready { $day }, { $early }.
agenda-told-to-2 = steps { $from } to { $to }
agenda-told-of = { $named } ({ $n } of { $of_n })

## hours

hours-sessions-week-too-many-enter = { $weekly } sessions a week are too many. Enter at most { $MOST_TIMES }.
hours-ends-before-starts-enter-end = { $day }: it ends before it starts. Enter an end time on the same day.
hours-two-sessions-overlap = { $day }: two sessions overlap.

## sessions

schedule-session-must-end-after-starts = A session must end after it starts, and start after the one before it ends.
schedule-enter-date-time-for-due = Enter a date and time for the due date.
schedule-minutes-cannot-be-negative = Minutes cannot be negative.
schedule-there-no-such-work-pin = There is no such work to pin.
schedule-minutes-handwork-in-session = minutes of handwork in a session
schedule-rest = rest
schedule-time-between-rests = time between rests
schedule-effort-session = effort of a session

## sessions-place

schedule-place-no-bench-hours-yet-enter = No bench hours yet: enter when you work at the bench.
schedule-place-one-too-much-for-hands = One “{ $named }” is too much for the hands in one session: use softer or thinner wire.
schedule-place-one-takes-longer-than-session = One “{ $named }” takes longer than a session, or than the time between rests.
schedule-place-runs-longer-than-tumbler-may = “{ $named }” runs longer than the tumbler may between quiet hours.
schedule-place-no-time-left-in-next = No time left in the next { $days } days for “{ $named }” and the steps after it: add hours, or make fewer.

## batch-progress

batch-progress-there-no-step-this-batch = There is no step { $step_n }: this batch has { $tasks }.
batch-progress-key-event-must-be-8 = The key of an event must be 8 to 64 plain characters.
batch-progress-at = { $why } at “{ $named }”.
batch-progress-enter-at-least-1 = Enter at least 1.
batch-progress-everything-done = Everything is done
batch-progress-one-piece-still-on-spool = One piece is still on the spool. Finish it and cut it first
batch-progress-left-to-reject = { $whole_n } are left, so { $n } is too many
batch-progress-step-before-not-done-yet = The step before it is not done yet
batch-progress-here-so-too-many = { $may_n } here, so { $n } is too many
batch-progress-scrap-can-only-be-recorded = Scrap can only be recorded at a step that counts pieces.
batch-progress-can-be-undone = { $most } can be undone
batch-progress-scrapped = { $most } scrapped
batch-progress-nothing-runs-on-its-own = Nothing runs on its own at this step.
batch-progress-already-running = It is already running
batch-progress-no-turns-counted-at-this = No turns are counted at this step.
batch-progress-everything-done-at = Everything is done at “{ $named }”.
batch-progress-turns-too-many-for-one = { $n } turns are too many for one coil. Enter at most { $MOST_TURNS }.

## task

task-on = on { $mm }
task-in-tumbler = in the tumbler
task-min = { $unattended_min } min
task-in-pickle = in the pickle
task-through-jaws = through the jaws
task-across-tool = across the tool
task-from-tip-jaw = from the tip of the jaw
task-from = from the { $shown }

## event-kind

event-kind = event
event-kind-done = done
event-kind-taken-back = undone
event-kind-spoiled = scrapped
event-kind-rescued = not scrapped after all
event-kind-started = started
event-kind-turned = turned

## counted

counted = what is counted
counted-piece = piece
counted-ring = ring
counted-coil = coil
counted-placing = ring added
counted-once = all at once
counted-none = none

## day

day = day of the week
day-monday = Monday
day-tuesday = Tuesday
day-wednesday = Wednesday
day-thursday = Thursday
day-friday = Friday
day-saturday = Saturday
day-sunday = Sunday

## strain

strain = strain
strain-light = light
strain-moderate = moderate
strain-heavy = heavy
