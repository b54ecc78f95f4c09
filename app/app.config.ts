export default defineAppConfig({
  ui: {
    colors: { primary: 'skin', neutral: 'lime' },
    button: {
      slots: { base: 'font-semibold rounded-(--radius-control) min-h-12 justify-center' },
      variants: { size: { md: { base: 'text-base px-4' }, lg: { base: 'text-base px-4' }, xl: { base: 'text-[1.05rem] px-5' } } }
    },
    // Above the places at the foot of a phone.
    toaster: { slots: { viewport: 'max-md:mb-[72px]' } },
    input: { slots: { base: 'min-h-11 text-base' } },
    select: { slots: { base: 'min-h-11 text-base' } }
  }
})
