export { cropOf, defaultCrop, fromPrint, lostByCrop, onPrint, placed, turnedBox, type Crop, type PrintBox } from './place'
export { judgePicture, pictureFindings, type PictureCode, type PictureContext, type PictureFinding } from './judge'
export { deleteDay, ownerName, pictureOf, withoutPicture } from './owners'
export { ownerOf } from './match'
