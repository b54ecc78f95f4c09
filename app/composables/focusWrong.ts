/** After a form was refused the first field that is wrong has the focus: it is read out, and typing goes there. */
export async function focusWrong(root?: Element | null): Promise<void> {
  await nextTick()
  ;(root ?? document).querySelector<HTMLElement>('[aria-invalid="true"]')?.focus()
}
