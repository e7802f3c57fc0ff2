/** A photograph of several hatchlings: each tap in it is the head of the hatchling whose turn it is, and the next one's turn comes. */
const LONGEST = 1600

export function enhance(form) {
  const stage = form.querySelector('[data-stage]')
  const picture = form.querySelector('[data-picture]')
  const now = form.querySelector('[data-now]')
  const file = form.querySelector('input[type=file]')
  const rows = [...form.querySelectorAll('[data-head]')]
  const place = row => [...row.querySelectorAll('input')]
  const isTold = row => place(row).every(field => field.value !== '')
  const buttons = [...form.querySelectorAll('[data-choose]')]
  let current = null

  const draw = () => {
    stage.querySelectorAll('.box-mark').forEach(mark => mark.remove())
    rows.forEach((row, i) => {
      buttons[i].classList.toggle('is-told', isTold(row))
      buttons[i].setAttribute('aria-pressed', String(row === current))
      if (!isTold(row)) return
      const [across, down] = place(row).map(field => field.value)
      const mark = Object.assign(document.createElement('span'), { className: 'box-mark', textContent: i + 1 })
      mark.style.cssText = `left: ${across}%; top: ${down}%`
      mark.classList.toggle('is-current', row === current)
      stage.append(mark)
    })
  }
  const turn = row => {
    current = row
    now.textContent = row ? `Tap the head of ${row.dataset.name}.` : 'All are there. Tap a name to change its place.'
    draw()
  }
  const open = () => {
    stage.hidden = false
    now.hidden = false
    turn(rows.find(row => !isTold(row)) ?? null)
  }

  file?.addEventListener('change', async () => {
    if (!file.files[0]) return
    try {
      const bitmap = await createImageBitmap(file.files[0], { imageOrientation: 'from-image' })
      const scale = Math.min(1, LONGEST / Math.max(bitmap.width, bitmap.height))
      const canvas = Object.assign(document.createElement('canvas'), {
        width: Math.round(bitmap.width * scale), height: Math.round(bitmap.height * scale),
      })
      canvas.getContext('2d').drawImage(bitmap, 0, 0, canvas.width, canvas.height)
      picture.src = canvas.toDataURL('image/jpeg', .85)
      for (const row of rows) for (const field of place(row)) field.value = '' // places of another picture
      open()
    } catch {
      now.hidden = false
      now.textContent = 'This file cannot be shown here. Choose a JPEG, PNG or WebP picture.'
    }
  })
  picture.addEventListener('click', event => {
    const row = current ?? rows.find(row => !isTold(row))
    if (!row) return
    const box = picture.getBoundingClientRect()
    const [across, down] = place(row)
    across.value = (100 * (event.clientX - box.left) / box.width).toFixed(1)
    down.value = (100 * (event.clientY - box.top) / box.height).toFixed(1)
    turn(rows.slice(rows.indexOf(row) + 1).find(row => !isTold(row)) ?? rows.find(row => !isTold(row)) ?? null)
  })
  rows.forEach((row, i) => {
    buttons[i].addEventListener('click', () => turn(row))
    for (const field of place(row)) field.addEventListener('input', draw)
  })
  form.querySelector('[data-with-script]').hidden = false
  form.querySelector('[data-by-number]').open = false
  if (!file) open()
}
