//! PDF from the same SVG that is handed out, so that both are one drawing.

use std::sync::{Arc, LazyLock};

use anyhow::anyhow;
use lorimant_core::fault::{Fault, Faults};
use lorimant_text::text;
use svg2pdf::usvg::{self, fontdb};
use svg2pdf::{ConversionOptions, PageOptions};

use super::typeset;
use crate::progress::Progress;

/// The type that ships with the program; no font of the machine is used.
static FONTS: LazyLock<Arc<fontdb::Database>> = LazyLock::new(|| {
    let mut fonts = fontdb::Database::new();
    for face in [typeset::SERIF_REGULAR, typeset::SANS_REGULAR, typeset::SANS_BOLD].into_iter().flatten() {
        fonts.load_font_data(face.to_vec());
    }
    Arc::new(fonts)
});

/// Resolution that CSS gives millimetres of an SVG, and the PDF's page is scaled by the same.
const DPI: f32 = 96.0;

/// Refuses what would not be there on paper.
fn printable(page: &str) -> Result<(), Fault> {
    typeset::unprintable(page).map_or(Ok(()), |letter| {
        let code = format!("{:04X}", u32::from(letter));
        Err(Fault::new("name", text!("paper-letter-without-type", letter, code)))
    })
}

/// Turns a page into PDF at true size, its type embedded.
pub(super) fn from_svg(svg: &str) -> anyhow::Result<Vec<u8>> {
    printable(svg).map_err(Faults::from)?;
    let options = usvg::Options { fontdb: FONTS.clone(), dpi: DPI, ..usvg::Options::default() };
    let tree = usvg::Tree::from_str(svg, &options)?;
    let page = PageOptions { dpi: DPI };
    svg2pdf::to_pdf(&tree, ConversionOptions::default(), page).map_err(|error| anyhow!("{error}"))
}

/// Turns pages into one PDF, each at true size; each is a step.
pub(super) fn from_pages(pages: &[String], progress: &Progress) -> anyhow::Result<Vec<u8>> {
    use pdf_writer::{Content, Finish as _, Name, Pdf, Rect, Ref};

    let options = usvg::Options { fontdb: FONTS.clone(), dpi: DPI, ..usvg::Options::default() };
    let mut next = Ref::new(1);
    let (catalog, tree) = (next.bump(), next.bump());
    let mut pdf = Pdf::new();
    let mut kids = vec![];
    for page in pages {
        printable(page).map_err(Faults::from)?;
        let svg = usvg::Tree::from_str(page, &options)?;
        let (chunk, drawn) =
            svg2pdf::to_chunk(&svg, ConversionOptions::default()).map_err(|e| anyhow!("{e}"))?;
        // The chunk numbers its parts from 1 on: moved to numbers that are free.
        let mut moved = std::collections::HashMap::new();
        let chunk = chunk.renumber(|old| *moved.entry(old).or_insert_with(|| next.bump()));
        let drawn = *moved.get(&drawn).ok_or_else(|| anyhow!("a page without a drawing"))?;
        let (id, content_id) = (next.bump(), next.bump());
        // Points, 72 to the inch, from what CSS calls pixels, 96 to it.
        let (width, height) = (svg.size().width() * 72.0 / DPI, svg.size().height() * 72.0 / DPI);
        let mut content = Content::new();
        content.transform([width, 0.0, 0.0, height, 0.0, 0.0]).x_object(Name(b"P"));
        pdf.stream(content_id, &content.finish());
        let mut sheet = pdf.page(id);
        sheet.media_box(Rect::new(0.0, 0.0, width, height)).parent(tree).contents(content_id);
        sheet.resources().x_objects().pair(Name(b"P"), drawn);
        sheet.finish();
        pdf.extend(&chunk);
        kids.push(id);
        progress.step()?;
    }
    pdf.catalog(catalog).pages(tree);
    pdf.pages(tree).count(i32::try_from(kids.len())?).kids(kids);
    Ok(pdf.finish())
}
