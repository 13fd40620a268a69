<script setup lang="ts">
const cautions = [
  [
    'Eyes',
    'Every cut, wire end and hammer blow: wear safety glasses. Hold both sides of a cut, or shield it.',
  ],
  [
    'Rotation',
    'A drill or powered winder pulls in wire, sleeves, hair and gloves. Lowest speed, a wooden or leather block held in the hand to guide the wire, foot or thumb off first. Some winders wear leather against the running wire; near a turning rod any glove can catch.',
  ],
  [
    'Fire and fumes',
    'Fireproof surface, fresh air, an extinguisher near. No solder with cadmium. Never heat galvanised or plated steel. Fluxes can contain fluorides: read the safety sheet.',
  ],
  [
    'Pickle',
    'Acid into water, lid on, brass or plastic tongs, rinse, neutralise. Follow local rules for disposal.',
  ],
  [
    'Skin and ears',
    'Nickel, and for some people copper and brass, irritate. In a fresh piercing use only metals sold for it. Limits on nickel, lead and cadmium, and hallmarks, differ by country.',
  ],
  ['Small parts', 'Rings can be swallowed: keep them and magnets away from children.'],
  [
    'Dust and noise',
    'Don’t breathe in filing and sanding dust. A tumbler is loud; keep water away from its motor.',
  ],
  ['Hands', 'Straight wrists, rests, short sessions. If pain stays, see a doctor.'],
]
const methods = [
  ['Starting temper', 'dead soft, hardened afterwards', 'half-hard, used as it is'],
  [
    'Cutting rings',
    'saw: square faces that meet, one kerf lost',
    'flush cut twice: quick, a sliver lost, faces don’t quite match',
  ],
  ['Sawing from', 'outside on a pin', 'inside, blade threaded through; or left on a wooden dowel'],
  ['Winding', 'by hand or in a pin vise: you feel the tension', 'slow drill: long coils, more care'],
  ['Straightening', 'on the spool, before cutting', 'after cutting, piece by piece'],
]
</script>

<template>
  <div class="two">
    <section aria-labelledby="cautions">
      <h1 id="cautions">Safety</h1>
      <p class="quiet">
        Short reminders, never law: the tool maker, local rules and qualified people come first.
      </p>
      <dl>
        <template v-for="[what, text] in cautions" :key="what">
          <dt>{{ what }}</dt>
          <dd>{{ text }}</dd>
        </template>
      </dl>
    </section>
    <section aria-labelledby="methods">
      <h1 id="methods">Where makers differ</h1>
      <p class="quiet">Both ways work. What each one trades:</p>
      <dl>
        <template v-for="[what, one, other] in methods" :key="what">
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
