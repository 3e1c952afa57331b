export { previewGround, previewTransfer, surfaceLookOf, surfaceLooks, type PreviewOptions, type SurfaceLook } from './preview'
