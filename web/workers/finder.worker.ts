import { expose } from 'comlink'
import { findMethods } from '#core/finder'
import { compareSplits, findSeries } from '#core/plan'

expose({ findMethods, compareSplits, findSeries })
