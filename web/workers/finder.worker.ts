import { expose } from 'comlink'
import { findMethods } from '#core/finder'

expose({ findMethods })
