<template>
  <span class="dot" />
</template>

<style scoped>
/* All is well with it. */
.dot {
  display: inline-block;
  flex: none;
  width: 6px;
  height: 6px;
  margin: 5px 3px 0;
  border-radius: 3px;
  background: var(--ink);
}
</style>
