## app

app-skip-content = Skip to content

## app-header

app-header-lorimant = Lorimant
app-header-main = Main
app-header-tools-reference = Tools and reference
app-header-settings = Settings

## back-up

back-up-daily-copy = daily copy
back-up-before-update = before an update
back-up-before-restore = before a restore
back-up-everything-in-one-file-back = Everything is in one file. Back it up while you work, and restore it here or on another computer. A restore keeps a copy of what it replaces.
back-up-back-up = Back up
back-up-restore-backup = Restore a backup
back-up-backup-restore = Backup to restore
back-up-export-everything-as-text = Export everything as text
back-up-dated-copies-made-daily-before = Dated copies, made daily and before each update and restore
back-up-restore = Restore
back-up-show-restored-workshop = Show the restored workshop
back-up-restore-2 = Restore it
back-up-replaces-everything-in-this-workshop = { " " }replaces everything in this workshop. A dated copy of the current workshop is kept first.

## device-list

device-list-device-that-signed-in-before = A device that signed in before this version
device-list-this-device = this device
device-list-last-used = last used { $seenat }
device-list-signed-out = Signed out: { $name }.
device-list-signed-in-devices = Signed-in devices
device-list-no-passphrase-set-anyone-who = No passphrase is set: anyone who reaches this address can use the workshop. Set one with{ " " }
device-list-lorimant-passphrase = lorimant passphrase
device-list-sign-out = Sign out { $name }
device-list-sign-out-2 = Sign out

## file-notice

file-notice-use-file-that-there-now = Use the file that is there now
file-notice-restore-copy = Restore a copy
file-notice-changes-another-copy-this-workshop = Changes of another copy of this workshop were found beside its file. They are not included here; they were moved to { $aside }. If work is missing, restore a backup in Settings.{ " " }
file-notice-close = Close

## keys-dialog

keys-dialog-go-ask-line = Go to the ask line
keys-dialog-move-from-word-word-in = Move from word to word in the sentence
keys-dialog-on-word-change-by-0 = On a word: change it by 0.1 mm or 1/64 in, one gauge, one piece, or the next choice
keys-dialog-on-word-open-its-choices = On a word: open its choices
keys-dialog-letters-digits = letters, digits
keys-dialog-tab = Tab
keys-dialog-enter = Enter
keys-dialog-ctrl-s = Ctrl S
keys-dialog-esc = Esc
keys-dialog-on-word-type-in-its = On a word: type in its place
keys-dialog-rings-coil-on-rod-sprung = Rings: coil on the rod, sprung open, plot by temper. Findings: one step back or on
keys-dialog-on-dimension-drawing-type-its = On a dimension of a drawing: type its length
keys-dialog-ctrl-z-ctrl-y = Ctrl Z, Ctrl Y
keys-dialog-undo-redo-change-plan-or = Undo, redo a change to the plan or finding
keys-dialog-save-plan-or-finding = Save the plan or finding
keys-dialog-space-enter = Space, Enter
keys-dialog-bench-one-more-piece-done = Bench: one more piece done; Backspace takes one back, x scraps one, n writes a note
keys-dialog-bench-winding-one-more-turn = Bench, winding: one more turn; with Shift one less
keys-dialog-close-what-open = Close what is open
keys-dialog-this-list = This list
keys-dialog-keys = Keys
keys-dialog-close = Close

## last-done

last-done-undone = Undone: { $sentence }
last-done-undo = Undo
last-done-undo-this = Undo: { $sentence }
last-done-what-you-save-change-record = What you save, change and record can be undone.
last-done-history = History
last-done-newest-first-later-changes-same = Newest first. Later changes to the same thing must be undone first. An undo can be undone too.
last-done-loading = Loading…
last-done-nothing-recorded-yet = Nothing recorded yet.

## not-found-view

not-found-view-page-not-found = Page not found
not-found-view-there-nothing-at-may-have = There is nothing at { $path }. It may have been deleted, or the address is mistyped.
not-found-view-go-today = Go to Today

## notice-bar

notice-undone = Undone.
notice-bar-undo = Undo
notice-bar-close = Close

## plan-tabs

plan-tabs-plan = Plan

## screen-match

screen-match-match-screen = Match the screen
screen-match-hold-bank-card-on-screen = Hold a bank card on the screen and move the slider until the bar is as long as its long edge, 85.6 mm.
screen-match-length-bar = Length of the bar
screen-match-matches = It matches
screen-match-forget = Forget
screen-match-cancel = Cancel

## settings-menu

settings-menu-millimetres = Millimetres
settings-menu-inches = Inches
settings-menu-awg-b-s = AWG (B&S)
settings-menu-swg-british = SWG (British)
settings-menu-as-device = As the device
settings-menu-light = Light
settings-menu-dark = Dark
settings-menu-settings = Settings
settings-menu-units-how-number-without-unit = Units, and how a number without a unit is read
settings-menu-gauge-system-as-in-18 = Gauge system, as in 18 ga
settings-menu-light-or-dark = Light or dark
settings-menu-workshops-name-for-sheets-labels = Workshop's name, for sheets and labels
settings-menu-this-screen-matched-drawings-can = This screen is matched: drawings can be shown at true size.
settings-menu-this-screen-isnt-matched-yet = This screen isn’t matched yet, so drawings cannot be shown at true size.
settings-menu-match-screen = Match the screen
settings-menu-close = Close
settings-menu-lorimant = Lorimant { $version }

## under-way-bar

under-way-bar-mb-so-far = { $title }, { $e6 } MB so far
under-way-bar-progress = Progress
under-way-bar-cancel = Cancel

## unlock-view

unlock-view-this-workshop-locked = This workshop is locked.
unlock-view-enter-its-passphrase = Enter its passphrase.
unlock-view-passphrase = Passphrase
unlock-view-unlock = Unlock

## router

router-today = Today
router-plan = Plan
router-wire = Wire
router-orders = Orders
router-bench = Bench
router-measure = Measure
router-tools = Tools
router-reference = Reference
router-help = Help
router-rings = Rings
router-findings = Findings
router-chains = Chains
router-saved = Saved
router-finding = Finding
router-wire-stock = Wire stock
router-choose-wire = Choose wire
router-cutting-plan = Cutting plan
router-cost = Cost
router-schedule = Schedule
router-finished-stock = Finished stock
router-bag = Bag
router-measurements = Measurements
router-springback = Springback
router-practice = Practice
router-consistency = Consistency
router-jaw-marks = Jaw marks
router-fix-problem = Fix a problem
router-measurement = Measurement
router-page-not-found = Page not found

## theme

theme-clear = Clear
