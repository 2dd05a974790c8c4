import { useSearchParams } from 'react-router'

/** Which tab is open, kept in the page's address: a reload or a sent link shows the same. */
export function useTab<Tab extends string>(tabs: readonly [Tab, ...Tab[]]): [Tab, (tab: Tab) => void] {
  const [search, setSearch] = useSearchParams()
  const tab = tabs.find((t) => t === search.get('tab')) ?? tabs[0]
  const setTab = (next: Tab) =>
    setSearch(
      (now) => {
        now.set('tab', next)
        return now
      },
      { replace: true },
    )
  return [tab, setTab]
}
