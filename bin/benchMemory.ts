import sharp from 'sharp'

const of = (width: number, height: number) => sharp({ create: { width, height, channels: 3, background: '#678' }, limitInputPixels: false })

/** The most memory that the server holds, MB, while the largest picture of each kind that it takes arrives. */
export async function benchMemory(url: string, memory: () => number): Promise<Record<string, number>> {
  const kinds: [string, Promise<Buffer>][] = [
    ['JPEG of 119 million pixels, turned', of(12_000, 9_900).withMetadata({ orientation: 6 }).jpeg({ quality: 60 }).toBuffer()],
    ['progressive JPEG of 36', of(6_000, 5_990).jpeg({ progressive: true }).toBuffer()],
    ['PNG of 119', of(12_000, 9_900).png({ compressionLevel: 1 }).toBuffer()],
    ['interlaced PNG of 36', of(6_000, 5_990).png({ progressive: true, compressionLevel: 1 }).toBuffer()],
    ['WebP of 119', of(12_000, 9_900).webp({ effort: 0 }).toBuffer()],
    ['AVIF of 9', of(3_600, 2_490).avif({ effort: 0 }).toBuffer()],
    ['TIFF of 119', of(12_000, 9_900).tiff({ compression: 'lzw' }).toBuffer()],
    ['GIF of 36', of(6_000, 5_990).gif({ effort: 1 }).toBuffer()],
  ]
  const figures: Record<string, number> = { 'server idle, MB': memory() }
  for (const [n, [name, made]] of kinds.entries()) {
    const form = new FormData()
    form.append('file', new Blob([new Uint8Array(await made)]), name)
    let most = 0
    const watch = setInterval(() => (most = Math.max(most, memory())), 15)
    const res = await fetch(`${url}/api/workshops/kelp-coasters/pictures/memory-${n}`, { method: 'POST', body: form })
    clearInterval(watch)
    if (!res.ok) throw new Error(`${name}: ${await res.text()}`)
    figures[`${name}: server at most, MB`] = most
    await new Promise((go) => setTimeout(go, 1000))
  }
  return figures
}
