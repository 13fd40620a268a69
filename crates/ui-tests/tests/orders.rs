//! From an order to a labelled bag: by keyboard alone, by touch alone; sessions, the shelf, Today.
use anyhow::{Context as _, Result, ensure};
use lorimant_ui_tests::{Maker, at_the_bench};
use rstest::rstest;
use thirtyfour::prelude::*;

const LINE: &str = "[data-test=orders] > li:has([data-test=begin-line]) [data-test=covered]";

/// Reads the code on the label of the bag that is looked at, with a reader of another's making.
async fn code(maker: &Maker) -> Result<String> {
    maker
        .script(
            "window.grey = null
             const name = '/api/bags/' + location.pathname.split('/').pop() + '/files/label.svg'
             fetch(name).then((reply) => reply.text()).then(async (svg) => {
               const picture = new Image()
               picture.src = URL.createObjectURL(new Blob([svg], { type: 'image/svg+xml' }))
               await picture.decode()
               const canvas = document.createElement('canvas')
               canvas.width = 1280
               canvas.height = 720
               const paper = canvas.getContext('2d')
               paper.fillStyle = '#fff'
               paper.fillRect(0, 0, 1280, 720)
               paper.drawImage(picture, 0, 0, 1280, 720)
               const { data } = paper.getImageData(0, 0, 1280, 720)
               window.grey = [...data].filter((_, i) => i % 4 === 1).map((one) => String.fromCharCode(one)).join('')
             })",
        )
        .await?;
    maker
        .until("the label to be drawn", || async { Ok(!maker.script("return window.grey").await?.is_null()) })
        .await?;
    let grey = maker.script("return window.grey").await?;
    let grey: Vec<u8> = grey
        .as_str()
        .context("no picture")?
        .chars()
        .map(|c| u8::try_from(u32::from(c)).unwrap_or(0))
        .collect();
    let mut picture = rqrr::PreparedImage::prepare_from_greyscale(1280, 720, |x, y| grey[y * 1280 + x]);
    let grids = picture.detect_grids();
    let grid = grids.first().context("no code on the label")?;
    Ok(grid.decode()?.1)
}

/// The keyboard alone, with a reload in the middle; the code on the label is read and leads to the recipe.
#[test]
fn an_order_is_made_and_bagged_by_keyboard() -> Result<()> {
    at_the_bench(|maker| async move {
        maker.open("/orders").await?;
        maker.reach("[data-test=customer]").await?;
        maker.press("Masks, second act").await?;
        maker.reach("[data-test=order-count]").await?;
        maker.press("2").await?;
        maker.reach("[data-test=piece]").await?;
        maker.press("Lake Queen").await?;
        maker.reach("[data-test=order-due]").await?;
        maker.press("5 May 2099").await?;
        maker.sees("[data-test=due-told]", "Tuesday 5 May 2099").await?;
        maker.press(Key::Enter + "").await?;
        maker.sees("[data-test=orders]", "Masks, second act").await?;
        maker.sees("[data-test=orders]", "5 May").await?;
        maker.sees("[data-test=orders]", "2 to make").await?;
        let of_masks = "[data-order]:has(h2.masks) [data-test=begin-line]";
        // The order just taken is the last that is due.
        maker
            .script("for (const one of document.querySelectorAll('h2')) if (one.textContent.startsWith('Masks')) one.classList.add('masks')")
            .await?;
        maker.reach(of_masks).await?;
        maker.press(Key::Enter + "").await?;
        maker.sees("[data-test=instruction]", "straight").await?;
        // A press counts for the step that is seen: between two the next one comes.
        for _ in 0..3 {
            maker.find("[data-test=press]:not(:disabled)").await?;
            maker.press(" ").await?;
        }
        maker.sees("[data-test=count]", "1 of 4").await?;
        maker.browser.driver.refresh().await?;
        maker.sees("[data-test=count]", "1 of 4").await?;
        maker.makes_all(|| async { maker.press(" ").await }).await?;
        maker.reach("[data-test=place]").await?;
        maker.press("drawer 7").await?;
        maker.press(Key::Enter + "").await?;
        maker.sees("main", "2 pairs in the bag").await?;
        maker.sees("main", "drawer 7").await?;
        maker.is_accessible().await?;
        maker.reach("[data-test=bag-label]").await?;
        maker.press(Key::Enter + "").await?;
        ensure!(maker.saved(".pdf").await?.starts_with(b"%PDF"));
        // A telephone reads the code and opens what it says.
        let address = code(maker).await?;
        maker.browser.driver.goto(&address).await?;
        maker.sees("[data-test=recipe]", "cut blank").await?;
        maker.open("/orders").await?;
        maker.sees("[data-test=orders]", "ready to hand over").await?;
        maker
            .script("for (const one of document.querySelectorAll('h2')) if (one.textContent.startsWith('Masks')) one.classList.add('masks')")
            .await?;
        maker.reach("[data-order]:has(h2.masks) [data-test=hand-over]").await?;
        maker.press(Key::Enter + "").await?;
        maker.reach("[data-test=count-n] input").await?;
        maker.press(Key::Enter + "").await?;
        maker.sees("[data-test=orders]", "handed over").await
    })
}

/// A finger alone, on a telephone and on a tablet held upright, with a reload in the middle.
#[rstest]
#[case(390, 844)]
#[case(820, 1180)]
fn an_order_is_made_and_bagged_by_touch(#[case] width: u32, #[case] height: u32) -> Result<()> {
    at_the_bench(move |maker| async move {
        maker.browser.resize(width, height).await?;
        maker.open("/orders").await?;
        maker.tap("[data-test=customer]").await?;
        maker.press("Masks").await?;
        maker.tap("[data-test=order-count]").await?;
        maker.press("1").await?;
        maker.choose("[data-test=piece]", "Lake Queen, long ear wires").await?;
        maker.choose("[data-test=order-wire]", "soft copper, round 0.81 mm (20 AWG), coated").await?;
        maker.tap("[data-test=take-order]").await?;
        maker.sees("[data-test=orders]", "Masks").await?;
        maker.sees("[data-test=orders]", "in soft coated copper, round 0.81 mm").await?;
        maker
            .script("for (const one of document.querySelectorAll('h2')) if (one.textContent.startsWith('Masks')) one.classList.add('masks')")
            .await?;
        maker.tap("[data-order]:has(h2.masks) [data-test=begin-line]").await?;
        maker.sees("[data-test=instruction]", "straight").await?;
        maker.tap("[data-test=press]").await?;
        maker.sees("[data-test=instruction]", "Snip the spool's end").await?;
        maker.tap("[data-test=press]").await?;
        maker.sees("[data-test=count]", "0 of 2").await?;
        maker.tap("[data-test=press]").await?;
        maker.sees("[data-test=count]", "1 of 2").await?;
        maker.browser.driver.refresh().await?;
        maker.sees("[data-test=count]", "1 of 2").await?;
        maker.makes_all(|| async { maker.tap("[data-test=press]").await }).await?;
        maker.tap("[data-test=place]").await?;
        maker.press("tin").await?;
        maker.tap("[data-test=fill-bag]").await?;
        maker.sees("main", "1 pair in the bag").await?;
        maker.tap("[data-test=bag-label]").await?;
        ensure!(maker.saved(".pdf").await?.starts_with(b"%PDF"));
        let over = maker.script("return document.documentElement.scrollWidth - innerWidth").await?;
        ensure!(over.as_i64().is_some_and(|over| over <= 0), "{over} px too wide");
        Ok(())
    })
}

#[test]
fn what_is_said_wrong_of_an_order_is_said_where_it_stands() -> Result<()> {
    at_the_bench(|maker| async move {
        maker.open("/orders").await?;
        maker.fill("[data-test=order-count]", "a dozen").await?;
        maker.click("[data-test=take-order]").await?;
        maker.sees("[data-test=order] [role=alert]", "“a dozen” is not a number of pieces").await?;
        maker.sees("[data-test=order] [role=alert]", "Choose a saved piece").await?;
        // What is typed is there after a reload.
        maker.fill("[data-test=customer]", "Masks").await?;
        maker.browser.driver.refresh().await?;
        maker.find("[data-test=customer]").await?;
        let typed = maker.script("return document.querySelector('[data-test=customer]').value").await?;
        ensure!(typed == "Masks", "{typed}");
        maker.sees(LINE, "9 in bags").await
    })
}

#[test]
fn sessions_are_skipped_pinned_and_removed() -> Result<()> {
    at_the_bench(|maker| async move {
        maker.open("/orders/schedule").await?;
        maker.sees("[data-test=schedule-told]", "Everything is on time").await?;
        let first = "[data-test=sessions] > li:first-child";
        let when = maker.text(&format!("{first} h2")).await?;
        maker.click(&format!("{first} [data-test=leave-out]")).await?;
        maker.sees(first, "skipped").await?;
        maker.sees("[data-test=holds]", "Skipped the session").await?;
        maker.click("[data-test=undo-last]").await?;
        maker.gone("[data-test=holds]").await?;
        ensure!(maker.text(&format!("{first} h2")).await? == when);
        // A batch opens to its steps; one of them is held in a later session.
        maker.click(&format!("{first} [data-test=run]")).await?;
        let detail = format!("{first} [data-test=run-detail]");
        maker.sees(&detail, "straighten wire").await?;
        maker.click(&format!("{detail} .steps li:first-child [data-test=more]")).await?;
        maker.click("[data-test=not-before]").await?;
        maker.click("[data-test=hold-it]").await?;
        maker.sees("[data-test=holds]", "straighten wire").await?;
        maker.click("[data-test=day-sheet]").await?;
        ensure!(maker.saved(".pdf").await?.starts_with(b"%PDF"));
        maker.click("[data-test=calendar]").await?;
        ensure!(maker.saved(".ics").await?.starts_with(b"BEGIN:VCALENDAR"));
        // Hours that cannot be are said; those that can are planned with.
        maker.click("[data-test=hours]").await?;
        maker.fill("[name='hours.rest_min'] input, .popover input[inputmode=decimal]", "none").await?;
        maker.click("[data-test=keep-hours]").await?;
        maker.sees(".popover", "“none” is not a valid time").await?;
        maker.fill("[name='hours.rest_min'] input, .popover input[inputmode=decimal]", "60").await?;
        // A time of day is typed in any way, and read back as the schedule writes it.
        let until = "[data-test=quiet-to] input";
        maker.fill(until, "late").await?;
        maker.click("[data-test=keep-hours]").await?;
        maker.sees(".popover", "“late” is not a valid time of day. Write it as 18:00 or 6 pm").await?;
        maker.fill(until, "7:30 am").await?;
        maker.click("[data-test=keep-hours]").await?;
        maker.gone("[data-test=keep-hours]").await?;
        maker.click("[data-test=hours]").await?;
        maker
            .until("the time as it was typed", || async {
                Ok(maker.find(until).await?.prop("value").await?.as_deref() == Some("07:30"))
            })
            .await
    })
}

#[test]
fn bags_are_counted_and_labelled() -> Result<()> {
    at_the_bench(|maker| async move {
        maker.open("/orders/stock").await?;
        let ears = "[data-test=bags] > li:nth-child(1)";
        let there = maker.text(&format!("{ears} [data-test=in-bag]")).await?;
        let n: u32 = there.split(' ').next().and_then(|n| n.parse().ok()).context("not a number")?;
        maker.click(&format!("{ears} [data-test=take-out]")).await?;
        maker.fill("[data-test=count-n] input", "2").await?;
        maker.press(Key::Enter + "").await?;
        maker.sees(&format!("{ears} [data-test=in-bag]"), &(n - 2).to_string()).await?;
        maker.click("[data-test=undo-last]").await?;
        maker.sees(&format!("{ears} [data-test=in-bag]"), &n.to_string()).await?;
        for nth in [1, 2] {
            maker.click(&format!("[data-test=bags] > li:nth-child({nth}) .tick input")).await?;
        }
        maker.click("[data-test=labels-of-ticked]").await?;
        maker.click("[data-test=print]").await?;
        maker.sees("[data-test=tray]", "Printed 1").await?;
        maker.click("[data-test=sheets]").await?;
        ensure!(maker.saved(".pdf").await?.starts_with(b"%PDF"));
        Ok(())
    })
}

/// Turns are counted by key and by the simulated winder, and the place is held through a reload.
#[test]
fn turns_of_a_coil_are_counted() -> Result<()> {
    at_the_bench(|maker| async move {
        maker.open("/bench").await?;
        maker.choose("[data-test=piece]", "Reed crown, practice rings").await?;
        maker.fill("[data-test=how-many]", "6").await?;
        maker.press(Key::Enter + "").await?;
        maker.presses_on(|instruction| instruction.starts_with("Wind")).await?;
        maker.press("t").await?;
        maker.sees("[data-test=turns]", "1 of").await?;
        maker.press("t").await?;
        maker.sees("[data-test=turns]", "2 of").await?;
        maker.browser.driver.refresh().await?;
        maker.sees("[data-test=turns]", "2 of").await?;
        maker.click("[data-test=winder]").await?;
        // The last turn is not quite round: the coil ends where the instruction says, and whole turns are counted.
        let says = maker.text("[data-test=reads]").await?;
        let turns = says.split(' ').next().context("no number")?;
        let whole = turns.split('.').next().context("no number")?;
        maker.sees("[data-test=turns]", &format!("{whole} of {turns} turns")).await?;
        maker.press(Key::Escape + "").await
    })
}

#[test]
fn today_says_what_is_next_and_takes_back_the_last() -> Result<()> {
    at_the_bench(|maker| async move {
        maker.open("/").await?;
        maker.sees("[data-test=next-session]", "of handwork").await?;
        maker.sees("[data-test=due]", "Wardrobe, third act").await?;
        maker.open("/bench").await?;
        maker.choose("[data-test=piece]", "Lake Queen, long ear wires").await?;
        maker.fill("[data-test=how-many]", "3").await?;
        maker.press(Key::Enter + "").await?;
        maker.find("[data-test=press]").await?;
        maker.open("/today").await?;
        maker.sees("[data-test=last]", "Added batch “Lake Queen, long ear wires”").await?;
        maker.click("[data-test=take-last-back]").await?;
        maker.sees("[data-test=last]", "Closed batch").await
    })
}

/// For this batch alone: the plan it was begun from stays as it is.
#[test]
fn how_one_batch_is_made_is_changed_before_it_is_begun() -> Result<()> {
    at_the_bench(|maker| async move {
        maker.open("/bench").await?;
        maker.choose("[data-test=piece]", "Lake Queen, long ear wires").await?;
        maker.fill("[data-test=how-many]", "1").await?;
        maker.press(Key::Enter + "").await?;
        let tumbled = async || {
            let says = maker.script("return document.querySelector('[data-test=steps]').textContent").await?;
            anyhow::Ok(says.as_str().is_some_and(|says| says.contains("tumble")))
        };
        maker.find("[data-test=press]").await?;
        ensure!(!tumbled().await?);
        maker.click("[data-test=route-menu]").await?;
        maker
            .until("the question of hardening", || async {
                for group in maker.browser.driver.find_all(By::Css("[data-test=route-group]")).await? {
                    if group.text().await?.to_lowercase().contains("harden") {
                        group.click().await?;
                        return Ok(true);
                    }
                }
                Ok(false)
            })
            .await?;
        maker
            .until("the tumbler to be offered", || async {
                for offer in
                    maker.browser.driver.find_all(By::Css("[data-test=route-offers] .within button")).await?
                {
                    if offer.text().await?.contains("tumbler") {
                        offer.click().await?;
                        return Ok(true);
                    }
                }
                Ok(false)
            })
            .await?;
        maker.until("the barrel among the steps", || async { tumbled().await }).await?;
        maker.press(" ").await?;
        maker.sees("[data-test=instruction]", "Snip").await?;
        // Begun: how it is made stays.
        maker.gone("[data-test=route-menu]").await
    })
}

#[test]
fn a_single_piece_is_matched() -> Result<()> {
    at_the_bench(|maker| async move {
        maker.open("/orders/stock").await?;
        maker.click("[data-test=match-lost]").await?;
        maker.fill("[data-test=single-wire] input", "1.02 mm").await?;
        maker.click("[data-test=which-is-it]").await?;
        maker.sees(".popover", "at least two").await?;
        // Both loops of a figure eight in 18 gauge, 3 mm inside, touching.
        maker.fill("[data-test=single-long] input", "9.1 mm").await?;
        maker.click("[data-test=which-is-it]").await?;
        maker.sees("[data-test=singles]", "Reed crown, links").await?;
        // A metal that nothing kept is of: a recipe is worked out, and lies in the drawing room.
        maker.picks("[data-test=its-metal]", "niobium").await?;
        maker.click("[data-test=work-out-recipe]").await?;
        maker.sees("[data-test=recipes]", "figure eight").await?;
        maker.is_accessible().await?;
        maker.click("[data-test=draw-recipe]").await?;
        maker.sees("[data-test=sentence]", "niobium").await?;
        // Asked for, it stands open.
        maker.open("/today").await?;
        maker.press("/").await?;
        maker.press("lost one earring").await?;
        maker.find("[data-test=ask-help]").await?;
        maker.press(Key::Enter + "").await?;
        maker.fill("[data-test=single-wire] input", "1.02 mm").await?;
        maker.fill("[data-test=single-long] input", "9.1 mm").await?;
        maker.click("[data-test=which-is-it]").await?;
        maker.click("[data-test=make-single]").await?;
        maker.sees("h1", "Reed crown, links").await
    })
}
