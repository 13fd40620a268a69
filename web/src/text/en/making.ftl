## forming-line

forming-line-step = step { $at } of { $all }: { $named }
forming-line-steps-from-straight-finished = Steps, from straight to finished

## offer-line

offer-line-now = { " " }(now)

## route-menu

route-menu-change-method = Change the method
route-menu-recommended = recommended
route-menu-checking-what-would-change = Checking what it would change…

## step-list

step-list-steps = Steps
step-list-anneal-before-or-change = Anneal before it, or change it
step-list-change-this-step = Change this step
step-list-checking-what-would-change = Checking what it would change…
step-list-part-piece-change-word-sentence = Part of the piece: change a word of the sentence, or choose under “Change the method”.
