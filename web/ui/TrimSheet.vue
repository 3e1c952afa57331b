<template>
  <section class="sheet"><i class="m a" /><i class="m b" /><i class="m c" /><i class="m d" /><slot /></section>
</template>
<style scoped>
.sheet {
  position: relative;
  background: var(--stock);
  padding: var(--s-page) var(--s-5);
  border-radius: var(--r-sheet);
}
.m {
  position: absolute;
  width: 14px;
  height: 14px;
  pointer-events: none;
  border: 0 solid var(--edge);
}
.a {
  left: -14px;
  top: -14px;
  border-inline-end-width: 1.5px;
  border-bottom-width: 1.5px;
}
.b {
  right: -14px;
  top: -14px;
  border-inline-start-width: 1.5px;
  border-bottom-width: 1.5px;
}
.c {
  left: -14px;
  bottom: -14px;
  border-inline-end-width: 1.5px;
  border-top-width: 1.5px;
}
.d {
  right: -14px;
  bottom: -14px;
  border-inline-start-width: 1.5px;
  border-top-width: 1.5px;
}
</style>
