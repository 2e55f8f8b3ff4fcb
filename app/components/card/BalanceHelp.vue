<template>
  <details class="balance">
    <summary>How to find the balance point</summary>
    <div class="how">
      <svg
        viewBox="0 0 220 96"
        width="220"
        height="96"
        role="img"
        aria-label="A tool lying across a dowel on the bench"
      >
        <path class="bench" d="M4 84H216" />
        <circle class="dowel" cx="122" cy="74" r="10" />
        <path class="tool" d="M14 56h130v-14h46v36h-46v-14H14z" />
        <path class="mark" d="M122 34V92M14 22H122M14 17v10M122 17v10" />
        <text x="66" y="16">this far</text>
      </svg>
      <p class="small">
        Lay the tool across a dowel on the bench and roll it until neither end goes down. Mark the tool over the dowel;
        measure to the mark. With a battery do it twice, in and out: they are two weights and two balance points. Lay a
        saw or a router on its side for the second figure.
      </p>
    </div>
  </details>
</template>

<style scoped>
summary {
  cursor: pointer;
  color: var(--chalk);
}
.how {
  display: flex;
  gap: 14px;
  align-items: center;
  margin-top: 6px;
}
.how p {
  margin: 0;
}
svg {
  flex: none;
}
.bench {
  stroke: var(--ink);
  stroke-width: 1.5;
}
.dowel {
  fill: var(--wood);
  stroke: var(--ink);
}
.tool {
  fill: var(--steel);
  stroke: var(--ink);
}
.mark {
  stroke: var(--chalk);
  stroke-width: 1.4;
  fill: none;
}
text {
  fill: var(--chalk);
  font-size: 12px;
  text-anchor: middle;
}
@media (max-width: 600px) {
  .how {
    display: block;
  }
}
</style>
