/**
 * Starts the modules of all elements side by side: none waits for another, and one that throws, hangs or is missing leaves
 * its element as the server drew it and the rest of the page alone.
 *
 * @param {Iterable<HTMLElement>} roots elements with data-module, one name or several
 * @param {(name: string) => Promise<{enhance: (root: HTMLElement) => void}>} load
 * @returns {Promise<void>[]} one for each module of each element, settled when it has been started
 */
export function enhanceAll(roots, load) {
  const started = []
  for (const root of roots) {
    for (const name of root.dataset.module.split(' ').filter(Boolean)) {
      started.push((async () => {
        try {
          const module = await load(name)
          module.enhance(root)
        } catch (error) {
          console.error(`${name}: ${error.message}`)
        }
      })())
    }
  }
  return started
}
