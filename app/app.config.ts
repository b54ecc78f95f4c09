/** Nuxt UI in our own clothes: one place. Colours, radii and faces are the tokens of `main.css`. */
const FIELD =
  'rounded-(--radius-control) text-(--ink) min-h-12 text-[1.05rem] px-3 placeholder:text-(--ink-soft)' +
  ' focus-visible:ring-[3px] focus-visible:ring-(--skin) outline-none!'
/** The variant comes after the base, so the background of a field is set here. */
const PAPER = { outline: 'bg-(--sheet) hover:bg-(--sheet) disabled:bg-(--ground) ring-[1.5px] ring-inset ring-(--line-strong)' }
/** Presk is read at arm's length: its letters do not shrink on a wide screen. */
const LARGE = { fixed: true }

export default defineAppConfig({
  ui: {
    colors: { primary: 'skin', neutral: 'lime', error: 'brick', warning: 'amberish', success: 'leaf' },
    button: {
      slots: { base: 'font-semibold rounded-(--radius-control) min-h-11 justify-center' },
      variants: {
        size: { md: { base: 'text-base px-4' }, lg: { base: 'text-base px-4 min-h-12' }, xl: { base: 'text-[1.05rem] px-5 min-h-[52px]' } },
        variant: { link: 'px-0! underline underline-offset-[3px] decoration-[1.5px]' }
      },
      defaultVariants: { size: 'md' }
    },
    toaster: { slots: { viewport: 'mt-(--messages-from) mb-(--messages-above)' } },
    toast: {
      slots: { root: 'rounded-(--radius-control) bg-(--sheet) ring-[1.5px] ring-(--line-strong)', title: 'text-base font-semibold' }
    },
    input: {
      slots: { root: 'w-full', base: FIELD },
      variants: { size: { md: { base: 'text-[1.05rem] px-3' } }, variant: PAPER },
      defaultVariants: LARGE
    },
    textarea: { slots: { base: FIELD }, variants: { variant: PAPER }, defaultVariants: LARGE },
    inputDate: {
      slots: { base: FIELD, segment: 'text-[1.05rem]' },
      variants: { size: { md: { base: 'text-[1.05rem] px-3' } }, variant: PAPER },
      defaultVariants: LARGE
    },
    inputTime: { slots: { base: FIELD }, variants: { variant: PAPER }, defaultVariants: LARGE },
    select: {
      slots: {
        base: FIELD,
        content: 'bg-(--sheet) ring-[1.5px] ring-(--line-strong) rounded-(--radius-control)',
        item: 'text-base min-h-11 items-center',
        placeholder: 'text-(--ink-soft)'
      },
      variants: { size: { md: { base: 'text-[1.05rem] px-3', itemLabel: 'text-base' } }, variant: PAPER },
      defaultVariants: LARGE
    },
    formField: {
      slots: {
        label: 'text-[0.95rem] font-semibold text-(--ink)',
        help: 'mt-1 text-[0.88rem] text-(--ink-soft)',
        error: 'mt-1 text-[0.95rem] font-medium text-(--stop)'
      },
      variants: { size: { md: { root: 'text-base' } } }
    },
    radioGroup: {
      slots: {
        legend: 'mb-1.5 text-[0.95rem] font-semibold text-(--ink)',
        item: 'min-h-[54px] items-center',
        label: 'text-base font-semibold text-(--ink)',
        description: 'text-[0.86rem] text-(--ink-soft)'
      },
      variants: {
        size: { md: { fieldset: 'gap-2.5', base: 'size-5', item: 'text-base', container: 'h-auto' } },
        variant: {
          card: {
            item: 'rounded-(--radius-control) bg-(--sheet) border-[1.5px] border-(--line-strong) px-3.5 py-2 '
              + 'has-data-[state=checked]:bg-(--skin-wash)'
          }
        }
      }
    },
    checkbox: {
      slots: {
        root: 'min-h-11 items-center',
        base: 'bg-(--sheet) ring-[1.5px] ring-(--line-strong)',
        label: 'text-base font-normal text-(--ink)'
      },
      variants: {
        size: { md: { base: 'size-5', container: 'h-auto', wrapper: 'text-base' } },
        variant: {
          card: {
            root: 'rounded-(--radius-control) bg-(--sheet) border-[1.5px] border-(--line-strong) '
              + 'has-data-[state=checked]:bg-(--skin-wash) has-data-[state=checked]:border-(--skin)'
          }
        }
      }
    },
    checkboxGroup: { slots: { legend: 'mb-1 text-[0.95rem] font-semibold text-(--ink)', fieldset: 'flex flex-wrap gap-x-6' } },
    switch: {
      slots: { root: 'min-h-11 items-center', label: 'text-base font-medium' },
      variants: { size: { md: { wrapper: 'text-base' } } }
    },
    alert: {
      slots: { root: 'rounded-(--radius-control) px-3.5 py-2.5', description: 'text-[0.98rem] text-(--ink)', icon: 'size-5 mt-0.5' }
    },
    collapsible: { slots: { root: 'min-w-0' } },
    table: {
      slots: {
        root: 'overflow-x-auto',
        base: 'min-w-full',
        th: 'px-3 py-2 text-[0.9rem] font-medium text-(--ink-soft) first:pl-0',
        td: 'px-3 py-2 text-base text-(--ink) first:pl-0 whitespace-normal tabular-nums',
        tbody: 'divide-(--line)'
      }
    },
    dropdownMenu: { slots: {
      content: 'bg-(--sheet) ring-[1.5px] ring-(--line-strong) rounded-(--radius-control)',
      item: 'text-base min-h-11 items-center px-3'
    } },
    tabs: {
      slots: {
        list: 'flex-wrap',
        // Its own sliding line knows one row only; here each tab has its own line, in any row.
        indicator: 'hidden',
        trigger: 'min-h-11 text-base font-semibold rounded-none data-[state=active]:shadow-[inset_0_-3px_0_var(--skin)]'
      }
    },
    badge: { slots: { base: 'font-semibold rounded-lg' } },
    modal: {
      slots: {
        content: 'bg-(--sheet) rounded-(--radius-sheet)',
        title: 'font-(family-name:--font-display) text-xl',
        description: 'text-(--ink-soft)'
      }
    },
    drawer: { slots: { content: 'bg-(--sheet)', title: 'font-(family-name:--font-display) text-xl' } },
    empty: {
      slots: {
        root: 'items-start p-0 sm:p-0 lg:p-0 rounded-none',
        header: 'items-start text-left max-w-none',
        body: 'items-start max-w-none',
        avatar: 'hidden',
        title: 'font-(family-name:--font-display) text-2xl text-(--ink)',
        description: 'text-base text-left text-(--ink-soft)'
      }
    },
    fileUpload: {
      slots: {
        base: 'rounded-(--radius-control) border-[1.5px] border-dashed border-(--line-strong) bg-(--sheet)',
        label: 'text-base text-(--ink)'
      }
    },
    kbd: { base: 'rounded-md' },
    stepper: { slots: { title: 'text-base' } },
    timeline: {
      slots: { date: 'text-[0.9rem] text-(--ink-soft)', title: 'text-base font-normal text-(--ink)', description: 'text-(--ink-soft)' }
    }
  }
})
