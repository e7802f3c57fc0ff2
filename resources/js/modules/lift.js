/** Choosing or pointing at a cue lifts its place on every drawing of the page, and dims the rest. */
export function enhance(root) {
  const drawings = [...document.querySelectorAll('svg.skin:not(.lying)')]
  const bands = { back: [45, 105], flank: [12, 138], 'belly-edge': [2, 148], belly: [2, 148] }
  const lift = (place) => drawings.forEach((drawing) => {
    drawing.querySelector('.lift')?.remove()
    if (!place || place === 'overall' || place === 'behaviour' || place === 'scales') return
    const shade = document.createElementNS('http://www.w3.org/2000/svg', 'path')
    shade.setAttribute('class', 'lift')
    const head = ['head', 'snout', 'eye', 'neck'].includes(place)
    const all = 'M0 0H1000V150H0Z'
    const [top, bottom] = bands[place] ?? [2, 148]
    const hole = head ? `M0 0V150H${place === 'snout' ? 24 : 150}V0Z`
      : place === 'tail' ? 'M760 0V150H1000V0Z'
        : place === 'back' ? `M118 ${top}V${bottom}H1000V${top}Z`
          : place === 'flank' ? 'M118 14V50H1000V14ZM118 100V136H1000V100Z' : 'M118 2V20H1000V2ZM118 130V148H1000V130Z'
    shade.setAttribute('d', all + hole)
    shade.setAttribute('fill-rule', 'evenodd')
    shade.setAttribute('transform', 'matrix(1.2 0 0 1.527 0 -.5)')
    drawing.append(shade)
  })
  if (root.dataset.liftNow) lift(root.dataset.liftNow)
  for (const item of root.querySelectorAll('[data-lift]')) {
    item.tabIndex = 0
    for (const event of ['pointerenter', 'focus']) item.addEventListener(event, () => lift(item.dataset.lift))
    for (const event of ['pointerleave', 'blur']) item.addEventListener(event, () => lift(null))
  }
}
