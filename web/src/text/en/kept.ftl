## kept-view

kept-view-open = Open { $name }
kept-view-earlier-revisions = Earlier revisions
kept-view-saved = Saved
kept-view-find-by-name-note-metal = Find by name, note, metal or size
kept-view-show = Show
kept-view-all = all
kept-view-rings = rings
kept-view-only-findings = findings
kept-view-only-chains = chains
kept-view-archived = { " " }archived{ " " }
kept-view-print-or-export = Print or export
kept-view-everything-as-json = Everything as JSON
kept-view-rings-as-csv = Rings as CSV
kept-view-loading = Loading…
kept-view-nothing-saved-has-in = Nothing saved has “{ $find }” in it.
kept-view-nothing-archived = Nothing is archived.
kept-view-no-chain-saved-yet-plan = { " " }No chain saved yet. Plan one under{ " " }
kept-view-chains = Chains
kept-view-press-save-there = { " " }and press Save there.{ " " }
kept-view-no-finding-saved-yet-open = { " " }No finding saved yet. Open one under{ " " }
kept-view-findings = Findings
kept-view-change-as-you-like-press = , change it as you like and press Save. It is listed here, ready to make again.{ " " }
kept-view-nothing-saved-yet = { " " }Nothing saved yet.{ " " }
kept-view-plan-some-rings = Plan some rings
kept-view-press-save-plan-listed-here = { " " }and press Save. The plan is listed here, ready to make again.{ " " }
kept-view-another-has = another has
kept-view-others-have = { $namesakesn } others have
kept-view-same-name = { $have } the same name{ " " }
kept-view-pages = Pages
kept-view-newer = Newer
kept-view-to-of = { $most } to { $entries } of { $total }
kept-view-older = Older

## revisions-dialog

revisions-dialog-revisions-of = Revisions of { $name }
revisions-dialog-revisions = Revisions
revisions-dialog-earlier-versions-open-one-look = Earlier versions of “{ $name }”. Open one to look at it; it replaces the last one only when you press Save.
revisions-dialog-current = { " " }current
revisions-dialog-called = { " " }called “{ $name }”
revisions-dialog-open-revision = Open revision { $revision } of { $name }
revisions-dialog-open = Open
revisions-dialog-close = Close
