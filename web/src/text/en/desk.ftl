## address

address-nothing-saved = Nothing is saved under number { $id }. It may have been deleted.

## bring-in

bring-in-importing = Importing { $name }
bring-in-were-saved-already-left-as = { " " }{ $alreadyn } were saved already and are left as they are.
bring-in-imported-from = Imported { $message } from { $name }.{ $here }
bring-in-everything-in-here-already-nothing = Everything in { $name } is here already. Nothing was changed.
bring-in-import = Import
bring-in-file-import = File to import
bring-in-nothing-was-imported = Nothing was imported.
bring-in-fix-these-try-again = { " " }Fix these and try again:
bring-in-more = and { $faults } more.
bring-in-close = Close

## desk-frame

desk-frame-tools-needed = Tools needed
desk-frame-changed-since-saved = , changed since saved
desk-frame-what-shown = What is shown
desk-frame-true-size = { " " }true size{ " " }

## desk-tools

desk-tools-save = Save
desk-tools-print-or-export = Print or export
desk-tools-undo = Undo
desk-tools-redo = Redo

## keep-dialog

keep-dialog-saved-as = Saved as “{ $name }”.
keep-dialog-save-this = Save this { $noun }
keep-dialog-save-changes = Save changes
keep-dialog-name = Name
keep-dialog-saved-already-two-with-one = “{ $name }” is saved already: { $sentence } Two with one name are hard to tell apart.
keep-dialog-note = Note
keep-dialog-save-as-new = Save as a new { $noun }

## make-it

make-it-start-batch = Start batch
make-it-add-order = Add to an order
make-it-save-start-batch = Save and start batch
make-it-save-add-order = Save and add to an order

## rename-dialog

rename-dialog-renamed = Renamed to “{ $name }”.
rename-dialog-rename = Rename
rename-dialog-name = Name
rename-dialog-note = Note

## sentence-line

sentence-line-not-changed = Not changed. { $why }

## word-editor

word-editor-type = Type { $hint }
word-editor-less = { $title }: less
word-editor-more = { $title }: more
word-editor-find-among-these = Find among these
word-editor-no-match-what-you-typed = No match. What you typed is used as it is.

## shelf

shelf-restore = Restore
shelf-archive = Archive
shelf-copy = { $slice }, copy
shelf-duplicated-as = Duplicated as “{ $name }”.
shelf-restored-from-archive = restored from the archive
shelf-archived = archived
shelf-was = “{ $name }” was { $archived }.
shelf-start-batch = Start batch of { $n }
shelf-rename-or-change-note = Rename or change the note
shelf-duplicate = Duplicate
shelf-add-cutting-plan = Add to cutting plan
