import { useEffect } from 'react'

const TAKES_FOCUS = 'section, form, article, li, fieldset, [role="group"], [role="dialog"], main'

/**
 * Keeps the keyboard where it was. When what has the focus goes away or is switched off, as a row
 * that is removed or a form that is closed, the focus would fall to the page's beginning: it goes
 * to the part of the screen that held it. When a form that was sent comes back with faults, it goes
 * to the first of them.
 */
export function useFocusStays(): void {
  useEffect(() => {
    let held: HTMLElement | undefined
    let around: HTMLElement[] = []
    const onFocus = (event: FocusEvent) => {
      held = event.target instanceof HTMLElement ? event.target : undefined
      around = []
      for (let element = held?.parentElement; element; element = element.parentElement)
        if (element.matches(TAKES_FOCUS)) around.push(element)
    }
    const onPointer = (event: PointerEvent) => {
      // a press beside everything is meant to give the focus away
      if (
        event.target instanceof Element &&
        !event.target.closest(
          'a, button, input, select, textarea, summary, label, [tabindex], [role]',
        )
      )
        held = undefined
    }
    const onChange = () => {
      if (!held) return
      const lost = !document.activeElement || document.activeElement === document.body
      const form =
        held.closest('form') ?? around.find((element) => element instanceof HTMLFormElement)
      const fault =
        held.matches('button') && form?.querySelector<HTMLElement>('[aria-invalid="true"]')
      if (fault && (lost || document.activeElement === held)) return focus(fault)
      if (!lost) return
      if (held.isConnected) {
        if (!held.matches(':disabled')) held.focus({ preventScroll: true })
        return
      }
      const left = around.find((element) => element.isConnected)
      if (left) focus(left)
    }
    const focus = (on: HTMLElement) => {
      if (!on.matches('a, button, input, select, textarea, [tabindex]')) on.tabIndex = -1
      on.focus({ preventScroll: on.tabIndex === -1 })
    }
    const watch = new MutationObserver(onChange)
    watch.observe(document.body, {
      subtree: true,
      childList: true,
      attributes: true,
      attributeFilter: ['disabled', 'aria-invalid'],
    })
    document.addEventListener('focusin', onFocus)
    document.addEventListener('pointerdown', onPointer)
    return () => {
      watch.disconnect()
      document.removeEventListener('focusin', onFocus)
      document.removeEventListener('pointerdown', onPointer)
    }
  }, [])
}
