<!-- Hatches of the ground and of what goes into it. -->
<template>
  <defs>
    <pattern id="soil-clay" width="46" height="30" patternUnits="userSpaceOnUse">
      <path d="M6 10 l9 -4 M9 13 l9 -4 M29 24 l9 -4 M32 27 l9 -4" class="hatch" />
    </pattern>
    <pattern id="soil-sand" width="34" height="26" patternUnits="userSpaceOnUse">
      <path d="M6 6 h.1 M20 11 h.1 M11 19 h.1 M28 22 h.1 M30 4 h.1" class="hatch dots" />
    </pattern>
    <pattern id="soil-gravel" width="44" height="34" patternUnits="userSpaceOnUse">
      <path d="M8 8 a5 4 0 1 0 .1 0 M30 14 a6 4 0 1 0 .1 0 M16 25 a4 3 0 1 0 .1 0" class="hatch" />
    </pattern>
    <pattern id="soil-made-ground" width="50" height="34" patternUnits="userSpaceOnUse">
      <path d="M6 8 h8 l-3 6 z M30 20 l7 3 M34 6 h.1 M14 26 h.1 M42 28 h6" class="hatch" />
    </pattern>
    <pattern id="speckle" width="26" height="22" patternUnits="userSpaceOnUse">
      <path d="M4 5 h.1 M15 3 h.1 M21 12 h.1 M9 15 h.1 M17 19 h.1" class="hatch ink dots" />
    </pattern>
    <pattern id="stones" width="22" height="14" patternUnits="userSpaceOnUse">
      <path d="M3 8 q3 -7 8 -3 q3 4 -2 7 z M13 12 q2 -6 7 -3 l-1 5 z" class="pebble" />
    </pattern>
    <pattern id="mesh" width="14" height="14" patternUnits="userSpaceOnUse">
      <path d="M0 7 l7 -7 l7 7 l-7 7 z" class="wire" />
    </pattern>
    <pattern id="crumble" width="8" height="8" patternUnits="userSpaceOnUse">
      <path d="M0 0 l8 8 M8 0 l-8 8" class="crumble" />
    </pattern>
  </defs>
</template>

<style scoped>
.hatch {
  fill: none;
  stroke: rgb(var(--v-theme-hatch));
  stroke-width: 1.3;
  stroke-linecap: round;
}
.dots {
  stroke-width: 2.4;
}
.ink {
  stroke: rgb(var(--v-theme-on-background));
  opacity: 0.55;
}
.wire {
  fill: none;
  stroke: rgb(var(--v-theme-on-background));
  stroke-width: 0.9;
  opacity: 0.6;
}
.pebble {
  fill: rgb(var(--v-theme-stone));
  stroke: rgb(var(--v-theme-on-background));
  stroke-width: 0.8;
}
.crumble {
  stroke: rgb(var(--v-theme-wood));
  stroke-width: 0.9;
  fill: none;
}
</style>
