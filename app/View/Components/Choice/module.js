/**
 * A long list as a field in which any part of a name, number or gene can be typed (Tom Select, kept with the application). Without
 * a script it stays the list that it is. What stands at data-from is asked while somebody types.
 */
let loading = null

const load = () => loading ??= new Promise((resolve, reject) => {
  const style = Object.assign(document.createElement('link'), { rel: 'stylesheet', href: '/vendor/tom-select/tom-select.css' })
  const script = Object.assign(document.createElement('script'), { src: '/vendor/tom-select/tom-select.js' })
  script.addEventListener('load', () => resolve(globalThis.TomSelect))
  script.addEventListener('error', () => reject(new Error('the combobox did not load')))
  document.head.prepend(style)
  document.head.append(script)
})

const asking = (from) => from === undefined ? {} : {
  valueField: 'value', labelField: 'text', preload: 'focus', shouldLoad: () => true,
  load: (typed, done) => fetch(`${from}&find=${encodeURIComponent(typed)}`, { headers: { Accept: 'application/json' } })
    .then((response) => response.ok ? response.json() : [])
    // behind what stands in the list itself
    .then((found) => done(Array.isArray(found) ? found.map((one, i) => ({ ...one, $order: i + 2 })) : []), () => done()),
}

export async function enhance(select) {
  const TomSelect = await load()
  const label = document.querySelector(`label[for="${select.id}"]`)
  if (label) select.setAttribute('aria-label', label.textContent.trim()) // the list behind the field keeps its name
  new TomSelect(select, {
    plugins: select.multiple ? ['remove_button'] : [],
    searchField: ['text', 'genotype'], maxOptions: 400,
    allowEmptyOption: select.options[0]?.text.trim() !== '', hideSelected: false, closeAfterSelect: !select.multiple,
    placeholder: 'type a name or a gene', selectOnTab: true,
    render: {
      no_results: () => '<div class="no-results">No match.</div>',
    },
    ...asking(select.dataset.from),
  })
}
