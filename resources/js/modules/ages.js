/** One picture at a time from hatchling to adult, by a slider; without a script all stand beside each other. */
export function enhance(root) {
  const range = root.querySelector('input[type=range]')
  const says = root.querySelector('[data-age]')
  const pictures = [...root.querySelectorAll('[data-at]')]
  if (!range || !says) throw new Error('needs a range and a place for the age')
  root.classList.add('has-slider')
  range.hidden = false
  const show = () => {
    pictures.forEach((one, i) => { one.hidden = i !== Number(range.value) })
    const age = pictures[Number(range.value)].dataset.at
    says.textContent = age
    range.setAttribute('aria-valuetext', age)
  }
  range.addEventListener('input', show)
  show()
}
