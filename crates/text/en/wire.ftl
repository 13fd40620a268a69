## wire-lot

wire-lot-lot-factor = lot factor
wire-lot-spread-lot-factor = spread of the lot factor
wire-lot-there-no-lot-number-lots = There is no lot number { $lot_n }. Lots are numbered from 1.
wire-lot-not-measured-as-in-handbooks = not measured: ± { $spread } %, as in handbooks
wire-lot-springs-back-more-than-usual = springs back { $off } % more than usual for this metal, ± { $spread } %
wire-lot-springs-back-less-than-usual = springs back { $off } % less than usual for this metal, ± { $spread } %
wire-lot-springs-back-as-usual-for = springs back as usual for this metal, ± { $spread } %
wire-lot-not-lot-enter-its-number = { $text } is not a lot. Enter its number as shown in Stock, for example lot 5, or any.
wire-lot-not-lot-which-planned-for = not lot { $lot_n }, which it is planned for
wire-lot-from-lot = from lot { $lot_n }

## metal

metal-not-at-bench = not at the bench
metal-not-in-air = not in air

## metal-table

metal-table-stains-skin-not-in-fresh = Stains skin. Not in a fresh piercing.
metal-table-stains-skin-not-in-fresh-piercing = Stains skin. Not in a fresh piercing. Gives off zinc fumes if overheated.
metal-table-contains-nickel-not-against-skin = Contains nickel: not against skin, not in an ear.
metal-table-firescale-under-torch-tarnishes = Firescale under the torch. Tarnishes.
metal-table-brittle-while-hot-let-cool = Brittle while hot: let it cool untouched. No firescale.
metal-table-stays-soft = Stays soft.
metal-table-gold-outer-layer-1-20 = The gold is an outer layer, 1/20 of the weight: do not file through it.
metal-table-silver-outer-layer-do-not = The silver is an outer layer: do not file through it. It wears off in time.
metal-table-fineness-marks-differ-by-country = Fineness marks differ by country.
metal-table-marks-easily-tires-breaks-when = Marks easily. Tires and breaks when bent to and fro.
metal-table-hard-on-hands-cutters-contains = Hard on hands and cutters. Contains bound nickel: ask about it.
metal-table-rusts-never-heat-galvanised-or = Rusts. Never heat galvanised or plated steel.
metal-table-well-tolerated-cannot-be-annealed = Well tolerated. Cannot be annealed in air.

## wire

wire-wire-size = wire size
wire-mm = { $rounded } mm ({ $gauge })
wire-mm-2 = { $exact } mm
wire-mm-3 = { $gauge } ({ $rounded } mm)
wire-in-mm = { $size_mm } in ({ $exact } mm)

## surface

surface-its-plating-would-melt-into = its plating would melt into the core or burn off
surface-its-enamel-or-lacquer-would = its enamel or lacquer would burn and give off poisonous fumes
surface-its-zinc-would-burn-poisonous = its zinc would burn to poisonous fumes
surface-wire-never-heated-use-bare = { $self } wire is never heated: { $why }. Use bare wire, or leave the torch out.

## section

section = section
section-round = round
section-square = square
section-half-round = half-round

## surface

surface = surface
surface-bare = bare
surface-plated = plated
surface-filled = filled
surface-coated = coated
surface-galvanised = galvanised

## heat-cue

heat-cue = heat cue
heat-cue-marker-fades = a felt-tip line drawn on it just fades
heat-cue-turns-white = its surface turns matt white
heat-cue-flux-clears = paste flux brushed on it melts clear
heat-cue-first-red = the first dull red shows in a shaded room
heat-cue-cherry-red = it glows cherry red
heat-cue-bright-orange = it glows bright orange

## cooling

cooling = way of cooling
cooling-water-at-once = quench it in water at once
cooling-water-when-black = wait until the glow is gone in shade, then quench it in water
cooling-air = leave it alone until it is cold; do not quench it
cooling-slow = bury it in dry ash or sand for an hour; do not quench it

## metal

metal = metal
metal-copper = copper
metal-brass = brass
metal-red-brass = red brass
metal-phosphor-bronze = phosphor bronze
metal-nickel-silver = nickel silver
metal-sterling-silver = sterling silver
metal-germanium-silver = germanium silver
metal-fine-silver = fine silver
metal-gold-filled = gold-filled
metal-silver-filled = silver-filled
metal-gold-14k = 14 k gold
metal-aluminium = aluminium
metal-stainless-steel = stainless steel
metal-mild-steel = mild steel
metal-niobium = niobium
metal-titanium = titanium

## taken

taken = use of a metal
taken-everyday = every day
taken-at-times = now and then
taken-seldom = seldom
taken-asked = where it is asked for

## temper

temper = temper
temper-soft = soft
temper-quarter-hard = quarter-hard
temper-half-hard = half-hard
temper-three-quarter-hard = three-quarter-hard
temper-hard = hard
temper-extra-hard = extra-hard
temper-spring = spring-hard

## joining

joining = way a metal is joined
joining-fuse = fuse
joining-solder = solder
joining-solder-gently = solder, gently
joining-weld = weld
joining-braze = braze

## nickel

nickel = content of nickel
nickel-free = none
nickel-bound = bound
nickel-contained = contained

## balls

balls = way of balling
balls-bright = bright
balls-blackens = blackens
balls-badly = badly
balls-never = never

## company

company = company of metals
company-copper = copper, brass and bronze
company-silver = silver
company-gold = gold
company-aluminium = aluminium
company-hard = stainless steel, niobium and titanium
company-iron = mild steel
