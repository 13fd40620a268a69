<script setup lang="ts">
const cautions = [
  ['Eyes', 'Every cut, wire end and hammer blow: safety glasses. Hold both sides of a cut, or shield it.'],
  [
    'Rotation',
    'A drill or powered winder pulls in wire, sleeves, hair and gloves. Lowest speed, a wooden or leather block held in the hand to guide the wire, foot or thumb off first. Some winders wear leather against the running wire; near a turning rod any glove can catch.',
  ],
  [
    'Fire and fumes',
    'Fireproof surface, ventilation, an extinguisher within reach. No solder with cadmium. Never heat galvanised or plated steel. Fluxes can hold fluorides: read the sheet.',
  ],
  [
    'Pickle',
    'Acid into water, lid on, brass or plastic tongs, rinse, neutralise. Dispose of it as your town says.',
  ],
  [
    'Skin and ears',
    'Nickel, and for some people copper and brass, irritate. In a fresh piercing only metals sold for it. Limits on nickel, lead and cadmium, and marks of fineness, differ by country.',
  ],
  ['Small parts', 'Rings are swallowed: keep them and magnets from children.'],
  ['Dust and noise', 'Do not breathe filing and sanding dust. A tumbler is loud; keep water from its motor.'],
  ['Hands', 'Straight wrists, rests, short sittings. Pain that stays is for a clinician.'],
]
const schools = [
  ['Starting temper', 'dead soft, worked hard afterwards', 'half-hard, and stop'],
  [
    'Cutting rings',
    'saw: square faces that meet, one kerf lost',
    'flush cut twice: quick, a sliver lost, a slight misfit',
  ],
  ['Sawing from', 'outside on a pin', 'inside, blade threaded through; or left on a wooden dowel'],
  ['Winding', 'by hand or in a pin vise: feeling for tension', 'slow drill: long coils, the cautions above'],
  ['Straightening', 'on the spool, before cutting', 'after cutting, piece by piece'],
]
</script>

<template>
  <div class="two">
    <section aria-labelledby="cautions">
      <h1 id="cautions">Where it can hurt</h1>
      <p class="quiet">
        Short reminders, never law: the maker of the tool, local rules and qualified people come first.
      </p>
      <dl>
        <template v-for="[what, text] in cautions" :key="what">
          <dt>{{ what }}</dt>
          <dd>{{ text }}</dd>
        </template>
      </dl>
    </section>
    <section aria-labelledby="schools">
      <h1 id="schools">Where makers differ</h1>
      <p class="quiet">Both ways work. What each costs:</p>
      <dl>
        <template v-for="[what, one, other] in schools" :key="what">
          <dt>{{ what }}</dt>
          <dd>{{ one }}<span class="quiet"> · or · </span>{{ other }}</dd>
        </template>
      </dl>
    </section>
  </div>
</template>

<style scoped>
.two {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(320px, 1fr));
  gap: 24px 56px;
  margin-top: 48px;
}

dt {
  font-weight: 700;
}

dd {
  margin: 0 0 10px;
}
</style>
