const KEY = 'istmo-stays-out'

/** Whether somebody signed out of the demo in this window, so that it does not sign in by itself again. */
export function staysOut(): boolean {
  return sessionStorage.getItem(KEY) === '1'
}

export function stayOut(out: boolean): void {
  if (out) sessionStorage.setItem(KEY, '1')
  else sessionStorage.removeItem(KEY)
}
