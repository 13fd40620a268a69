//! A page of a PDF as it comes off the printer.
#![allow(
    dead_code,
    clippy::unwrap_used,
    clippy::cast_possible_truncation,
    clippy::cast_sign_loss,
    missing_docs
)]

use hayro::hayro_interpret::InterpreterSettings;
use hayro::hayro_syntax::Pdf;
use hayro::{PixmapSettings, RenderCache, RenderSettings};

pub struct Printed {
    /// How light each pixel is, 0 to 765, row by row; what is not printed on is paper.
    light: Vec<u32>,
    width: usize,
    per_mm: f64,
}

impl Printed {
    /// The first page, at so many pixels a millimetre.
    pub fn page(pdf: &[u8], per_mm: f64) -> Self {
        let pdf = Pdf::new(pdf.to_vec()).unwrap();
        let scale = (per_mm * 25.4 / 72.0) as f32;
        let pixels = PixmapSettings { x_scale: scale, y_scale: scale, ..PixmapSettings::default() };
        let (cache, how, look) =
            (RenderCache::new(), InterpreterSettings::default(), RenderSettings::default());
        let picture = hayro::render(&pdf.pages()[0], &cache, &how, &look, &pixels);
        let light = picture.data().iter().map(|pixel| match pixel.a {
            0..=128 => 765,
            _ => u32::from(pixel.r) + u32::from(pixel.g) + u32::from(pixel.b),
        });
        Self { light: light.collect(), width: usize::from(picture.width()), per_mm }
    }

    /// Whether another page looks the same.
    pub fn is_like(&self, other: &Self) -> bool {
        self.light == other.light
    }

    /// Width and height, pixels.
    pub fn size_px(&self) -> (usize, usize) {
        (self.width, self.light.len() / self.width)
    }

    /// How light a pixel is, 0 to 255.
    pub fn grey(&self, x: usize, y: usize) -> u8 {
        (self.light[y * self.width + x] / 3) as u8
    }

    pub fn width_px(&self) -> usize {
        self.width
    }

    /// Whether a pixel is darker than so light.
    pub fn darker(&self, x: usize, y: usize, light: u32) -> bool {
        self.light[y * self.width + x] < light
    }

    /// Whether anything is printed in a part of the page, mm from its top left corner.
    pub fn has(&self, x: std::ops::Range<f64>, y: std::ops::Range<f64>) -> bool {
        let place = |mm: f64| (mm * self.per_mm) as usize;
        let (last_x, last_y) = (self.width, self.light.len() / self.width);
        (place(y.start)..place(y.end).min(last_y))
            .any(|row| (place(x.start)..place(x.end).min(last_x)).any(|column| self.darker(column, row, 480)))
    }
}
