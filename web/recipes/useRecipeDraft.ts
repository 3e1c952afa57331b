import { useEventListener } from '@vueuse/core'
import { computed, ref, watch, type Ref } from 'vue'
import * as v from 'valibot'
import { makeRecipe, ownRecipeShape, recipeById, type OwnRecipe, type Recipe, type RecipeEdit } from '#core/recipe'

/** A draft is a recipe that may have no id yet, and no name while one is typed. */
const draftShape = v.object({ ...ownRecipeShape.entries, recipe: v.string(), name: v.string() })

/** The recipe that is being written: its differences by place, kept in this browser until it is made into a version, so that
 *  a reload loses nothing. Tabs of one browser write the same draft: what one changes shows in the others at once, so none
 *  begins from an old one. A kept draft that can't be read is put aside under another key and said so, not thrown away. */
export function useRecipeDraft(houseId: Ref<string>) {
  const key = () => `imprenta.recipe.${houseId.value}`
  const damaged = ref('')
  const kept = (): OwnRecipe | undefined => {
    const text = localStorage.getItem(key())
    if (!text) return undefined
    const read = v.safeParse(v.pipe(v.string(), v.parseJson(), draftShape), text)
    if (read.success) return read.output
    localStorage.setItem(`${key()}.damaged`, text)
    localStorage.removeItem(key())
    damaged.value = text
    return undefined
  }
  const draft = ref<OwnRecipe | undefined>(kept())
  watch(
    draft,
    (d) => {
      const text = d && JSON.stringify(d)
      if (text === (localStorage.getItem(key()) ?? undefined)) return
      if (text) localStorage.setItem(key(), text)
      else localStorage.removeItem(key())
    },
    { deep: true },
  )
  useEventListener(window, 'storage', (e) => {
    if (e.key === key()) draft.value = kept()
  })
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

  const steps = computed(() => draft.value?.edits.flatMap((e) => ('addStage' in e ? [e.addStage] : [])) ?? [])
  const addStep = (step: Extract<RecipeEdit, { addStage: object }>['addStage']) => draft.value!.edits.push({ addStage: step })
  const takeStepOut = (id: string) =>
    (draft.value!.edits = without((e) => ('addStage' in e && e.addStage.id === id) || ('path' in e && e.path.startsWith(`stages/${id}/`))))

  return { steps, addStep, takeStepOut, damaged, draft, base, recipe, problems, at, set, dropped, drop, added, add, takeOut }
}
export type RecipeDraft = ReturnType<typeof useRecipeDraft>
