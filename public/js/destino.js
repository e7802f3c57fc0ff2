// Finds every element with data-module, loads that module and calls its enhance(root). A broken module leaves its
// element as the server drew it and the rest of the page alone.
for (const root of document.querySelectorAll('[data-module]')) {
  for (const name of root.dataset.module.split(' ')) {
    try {
      const module = await import(`./modules/${name}.js`)
      module.enhance(root)
    } catch (error) {
      console.error(`${name}: ${error.message}`)
    }
  }
}
