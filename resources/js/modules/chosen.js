/** Shows what belongs to the action that is chosen, and how many animals it is for; a shift-click chooses a run of them. */
export function enhance(form) {
  const action = form.querySelector('[name=do]')
  const count = form.querySelector('[data-count]')
  const boxes = [...document.querySelectorAll(`input[form="${form.id}"][type=checkbox]`)]
  const show = () => {
    for (const one of form.querySelectorAll('[data-for]')) one.hidden = one.dataset.for !== action.value
    const chosen = boxes.filter(box => box.checked).length
    count.textContent = chosen ? `${chosen} selected:` : 'Select animals, then choose an action:'
    form.classList.toggle('is-idle', chosen === 0)
  }
  let last = null
  for (const box of boxes) {
    box.addEventListener('click', event => {
      const all = [...document.querySelectorAll(`input[form="${form.id}"][type=checkbox]`)] // in the order that is shown
      if (event.shiftKey && last) {
        const [from, to] = [all.indexOf(last), all.indexOf(box)].sort((a, b) => a - b)
        for (const one of all.slice(from, to + 1)) one.checked = box.checked
      }
      last = box
      show()
    })
  }
  action.addEventListener('change', show)
  show()
}
