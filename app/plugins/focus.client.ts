/**
 * A new page begins at its heading, for those who hear it and for those who type: the focus goes there, unless the page itself put it
 * somewhere. Another step or filter of the same page leaves it where it is.
 */
export default defineNuxtPlugin((app) => {
  const router = useRouter()
  let moved = false
  router.afterEach((to, from) => {
    moved = from.matched.length > 0 && to.path !== from.path
  })
  app.hook('page:finish', () => {
    if (!moved) return
    moved = false
    setTimeout(() => {
      const main = document.getElementById('main')
      const active = document.activeElement
      // A dialog or a field that took the focus keeps it.
      if (!main || (active && active !== document.body && (main.contains(active) || active.closest('[role="dialog"]')))) return
      const heading = main.querySelector('h1')
      if (!heading) return
      heading.setAttribute('tabindex', '-1')
      heading.focus({ preventScroll: true })
    })
  })
})
