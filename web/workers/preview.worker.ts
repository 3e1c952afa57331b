import { expose } from 'comlink'
import { previewTransfer } from '#core/preview'

expose({ previewTransfer })
