import { computed, ref, watch, type Ref } from 'vue'
import { makeRecipe, recipeById, type OwnRecipe, type Recipe, type RecipeEdit } from '#core/recipe'

/** The recipe that is being written: its differences by place, kept in this browser until it is made into a version, so that
 *  a reload loses nothing. */
export function useRecipeDraft(houseId: Ref<string>) {
  const key = () => `imprenta.recipe.${houseId.value}`
  const kept = () => {
    const text = localStorage.getItem(key())
    return text ? (JSON.parse(text) as OwnRecipe) : undefined
  }
  const draft = ref<OwnRecipe | undefined>(kept())
  watch(
    draft,
    (d) => {
      if (d) localStorage.setItem(key(), JSON.stringify(d))
      else localStorage.removeItem(key())
    },
    { deep: true },
  )
  // Another house on the same page has a draft of its own.
  watch(houseId, () => (draft.value = kept()))

  const base = computed<Recipe | undefined>(() => draft.value && recipeById(draft.value.base.id, draft.value.base.version))
  const made = computed(() => (draft.value ? makeRecipe(draft.value) : undefined))
  const recipe = computed(() => (made.value && 'recipe' in made.value ? made.value.recipe : undefined))
  const problems = computed(() => (made.value && 'problems' in made.value ? made.value.problems : []))

  const at = (path: string) => draft.value?.edits.find((e): e is Extract<RecipeEdit, { path: string }> => 'path' in e && e.path === path)
  const without = (test: (e: RecipeEdit) => boolean) => draft.value!.edits.filter((e) => !test(e))

  /** Sets a figure or words at a place; the practice's own value takes the difference out again. */
  function set(path: string, value: number | string, practice: number | string): void {
    const rest = without((e) => 'path' in e && e.path === path)
    draft.value!.edits = value === practice ? rest : [...rest, typeof value === 'number' ? { path, figure: value } : { path, text: value }]
  }
  const dropped = (what: string) => draft.value?.edits.some((e) => 'drop' in e && e.drop === what) ?? false
  function drop(what: string, out: boolean): void {
    const rest = without((e) => 'drop' in e && e.drop === what)
    draft.value!.edits = out ? [...rest, { drop: what }] : rest
  }
  const added = computed(() => draft.value?.edits.flatMap((e) => ('add' in e ? [e.add] : [])) ?? [])
  const add = (thing: Extract<RecipeEdit, { add: object }>['add']) => draft.value!.edits.push({ add: thing })
  const takeOut = (material: string) => (draft.value!.edits = without((e) => 'add' in e && e.add.material === material))

  return { draft, base, recipe, problems, at, set, dropped, drop, added, add, takeOut }
}
export type RecipeDraft = ReturnType<typeof useRecipeDraft>
