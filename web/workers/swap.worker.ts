import { expose } from 'comlink'
import { swapRecipe } from '#core/plan'

expose({ swapRecipe })
