<template>
  <main class="lost">
    <h1>{{ $t('Nothing is printed here') }}</h1>
    <p class="two">{{ $t('This address leads nowhere, or the workshop is gone.') }}</p>
    <v-btn to="/" color="primary" variant="flat">{{ $t('To the workshops') }}</v-btn>
  </main>
</template>
<style scoped>
.lost {
  padding: var(--s-7) var(--s-page);
  display: grid;
  gap: var(--s-3);
  justify-items: start;
}
</style>
