//! PDF from the same SVG that is handed out, so that both are one drawing.

use std::sync::{Arc, LazyLock};

use anyhow::anyhow;
use svg2pdf::usvg::{self, fontdb};
use svg2pdf::{ConversionOptions, PageOptions};

/// The type that ships with the program; no font of the machine is used.
static FONTS: LazyLock<Arc<fontdb::Database>> = LazyLock::new(|| {
    let mut fonts = fontdb::Database::new();
    fonts.load_font_data(include_bytes!("../../fonts/Alegreya-Regular.ttf").to_vec());
    fonts.load_font_data(include_bytes!("../../fonts/AlegreyaSans-Regular.ttf").to_vec());
    fonts.load_font_data(include_bytes!("../../fonts/AlegreyaSans-Bold.ttf").to_vec());
    Arc::new(fonts)
});

/// Resolution that CSS gives millimetres of an SVG, and the PDF's page is scaled by the same.
const DPI: f32 = 96.0;

/// Turns a page into PDF at true size, its type embedded.
pub(super) fn from_svg(svg: &str) -> anyhow::Result<Vec<u8>> {
    let options = usvg::Options { fontdb: FONTS.clone(), dpi: DPI, ..usvg::Options::default() };
    let tree = usvg::Tree::from_str(svg, &options)?;
    let page = PageOptions { dpi: DPI };
    svg2pdf::to_pdf(&tree, ConversionOptions::default(), page).map_err(|error| anyhow!("{error}"))
}
