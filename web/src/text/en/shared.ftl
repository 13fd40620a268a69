## both-versions

both-versions-someone-else-changed-this-since = Someone else changed this since you opened it, { $at }. Nothing is lost: both versions are here.
both-versions-yours = Yours
both-versions-save-yours-over = Save yours over it
both-versions-other-version = The other version
both-versions-open-other-version = Open the other version

## day-picker

day-picker-choose-day = Choose a day

## paper-dialog

paper-dialog-not-saved-yet-press-escape = Not saved yet. Press Escape again to leave.
paper-dialog-cancel = Cancel

## form

form-added = Added { $noun }.
form-changed = Changed { $noun }.
form-check-this = Check this

## more-menu

more-menu-more-for = More for { $of }

## help-link

help-link-how-this-works = How this works

## picking

picking-added-cutting-plan = Added “{ $name }” to the cutting plan.

## make-next

make-next-saved-as = Saved as “{ $name }”.
make-next-started = Started: { $name }.

## download

download-making = Making { $title }

## amounts

amounts-under = under { $least }
