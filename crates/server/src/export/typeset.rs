//! How wide a text is in the type that ships with the program, and the lines it takes.

use std::sync::LazyLock;

use ttf_parser::Face;

use super::svg::{SERIF, Type};

/// The type that ships with the program; no font of the machine is used.
pub(super) const SERIF_REGULAR: [&[u8]; 4] = [
    include_bytes!("../../fonts/Alegreya-Regular.ttf"),
    include_bytes!("../../fonts/Alegreya-Regular-latin-ext.ttf"),
    include_bytes!("../../fonts/Alegreya-Regular-greek.ttf"),
    include_bytes!("../../fonts/Alegreya-Regular-cyrillic.ttf"),
];
pub(super) const SANS_REGULAR: [&[u8]; 4] = [
    include_bytes!("../../fonts/AlegreyaSans-Regular.ttf"),
    include_bytes!("../../fonts/AlegreyaSans-Regular-latin-ext.ttf"),
    include_bytes!("../../fonts/AlegreyaSans-Regular-greek.ttf"),
    include_bytes!("../../fonts/AlegreyaSans-Regular-cyrillic.ttf"),
];
pub(super) const SANS_BOLD: [&[u8]; 4] = [
    include_bytes!("../../fonts/AlegreyaSans-Bold.ttf"),
    include_bytes!("../../fonts/AlegreyaSans-Bold-latin-ext.ttf"),
    include_bytes!("../../fonts/AlegreyaSans-Bold-greek.ttf"),
    include_bytes!("../../fonts/AlegreyaSans-Bold-cyrillic.ttf"),
];

/// The faces that could be read, serif, sans and bold sans, each in its parts by script.
static FACES: LazyLock<[Vec<Face<'static>>; 3]> = LazyLock::new(|| {
    [SERIF_REGULAR, SANS_REGULAR, SANS_BOLD]
        .map(|parts| parts.into_iter().filter_map(|data| Face::parse(data, 0).ok()).collect())
});

/// Width of a letter that a face does not have, em.
const UNKNOWN_EM: f64 = 0.6;

/// Width of a text set on one line, mm: its letters' advances, without kerning, which only brings them closer.
pub(super) fn width_mm(set: Type, text: &str) -> f64 {
    let face = match (set.family, set.weight) {
        (SERIF, _) => &FACES[0],
        (_, weight) if weight >= 600 => &FACES[2],
        _ => &FACES[1],
    };
    let advance = |letter: char| {
        let advance = |face: &Face| {
            let advance = face.glyph_hor_advance(face.glyph_index(letter)?)?;
            Some(f64::from(advance) / f64::from(face.units_per_em()))
        };
        face.iter().find_map(advance)
    };
    text.chars().map(|letter| advance(letter).unwrap_or(UNKNOWN_EM)).sum::<f64>() * set.size
}

/// The first letter of a text that one of the faces does not have: it would be missing on paper.
pub(super) fn unprintable(text: &str) -> Option<char> {
    let missing =
        |letter: char| FACES.iter().any(|parts| parts.iter().all(|face| face.glyph_index(letter).is_none()));
    text.chars().find(|letter| !letter.is_ascii() && missing(*letter))
}

/// The words of a text; a figure stays with its unit.
fn words(text: &str) -> Vec<String> {
    let mut words: Vec<String> = vec![];
    for word in text.split_whitespace() {
        let unit = word.chars().next().is_some_and(char::is_alphabetic) && word.chars().count() <= 4;
        match words.last_mut() {
            Some(figure) if unit && figure.ends_with(|c: char| c.is_ascii_digit()) => {
                figure.push(' ');
                figure.push_str(word);
            }
            _ => words.push(word.to_owned()),
        }
    }
    words
}

/// The lines a text takes at a width, mm. A word that is wider than a line is parted where it has to be.
pub(super) fn wrapped(set: Type, text: &str, width: f64) -> Vec<String> {
    let fits = |line: &str| width_mm(set, line) <= width;
    let mut lines: Vec<String> = vec![];
    for word in words(text) {
        match lines.last_mut() {
            Some(line) if fits(&format!("{line} {word}")) => {
                line.push(' ');
                line.push_str(&word);
            }
            _ => lines.push(word),
        }
        while let Some(long) = lines.pop_if(|line| !fits(line) && line.chars().count() > 1) {
            let held = long.char_indices().skip(1).map(|(at, _)| at).take_while(|at| fits(&long[..*at]));
            let at = held.last().unwrap_or_else(|| long.chars().next().map_or(0, char::len_utf8));
            lines.push(long[..at].to_owned());
            lines.push(long[at..].to_owned());
        }
    }
    lines
}

/// The largest size of type, from its own down to `least` mm, in which a text takes at most so many lines, and
/// those lines.
pub(super) fn fitted(set: Type, text: &str, width: f64, most: usize, least: f64) -> (Type, Vec<String>) {
    let mut set = set;
    loop {
        let lines = wrapped(set, text, width);
        if lines.len() <= most || set.size <= least {
            return (set, lines);
        }
        set.size = (set.size - 0.2).max(least);
    }
}

#[cfg(test)]
mod tests {
    use super::*;
    use rstest::rstest;

    const LONG: &str =
        "Water sprites of the third act, ear wires for the chorus, second set with the wide loop";

    #[test]
    fn a_text_is_as_wide_as_its_letters() {
        let set = Type::sans(10.0);
        let apart: f64 = "ear wires".chars().map(|letter| width_mm(set, &letter.to_string())).sum();
        assert!((width_mm(set, "ear wires") - apart).abs() < 1e-9);
        assert!(width_mm(set, "iiii") < width_mm(set, "mmmm"));
        assert!((width_mm(Type::sans(5.0), LONG) * 2.0 - width_mm(set, LONG)).abs() < 1e-9);
        assert!(width_mm(set.bold(), LONG) > width_mm(set, LONG));
    }

    #[rstest]
    #[case(LONG, 40.0)]
    #[case(LONG, 8.0)]
    #[case("Donaudampfschifffahrtsgesellschaft", 12.0)]
    #[case("æøå ½ ⌀ 0.8", 3.0)]
    fn lines_keep_to_their_width_and_lose_nothing(#[case] text: &str, #[case] width: f64) {
        let set = Type::sans(4.0);
        let lines = wrapped(set, text, width);
        assert!(
            lines.iter().all(|line| width_mm(set, line) <= width || line.chars().count() == 1),
            "{lines:?}"
        );
        let letters = |text: &str| text.split_whitespace().collect::<String>();
        assert_eq!(letters(&lines.concat()), letters(text));
    }

    #[test]
    fn a_figure_stays_with_its_unit() {
        let lines = wrapped(Type::sans(4.0), "half-round wire 1.63 mm (14 AWG) thick", 32.0);
        assert!(lines.iter().any(|line| line.contains("1.63 mm")), "{lines:?}");
        assert!(lines.iter().any(|line| line.contains("(14 AWG)")), "{lines:?}");
    }

    #[test]
    fn a_text_shrinks_before_it_takes_more_lines() {
        let (set, lines) = fitted(Type::sans(5.0), LONG, 60.0, 2, 2.0);
        assert!(set.size < 5.0 && lines.len() <= 2, "{} {lines:?}", set.size);
        let (set, lines) = fitted(Type::sans(5.0), "Hooks", 60.0, 2, 2.0);
        assert!((set.size - 5.0).abs() < 1e-12 && lines.len() == 1);
        assert_eq!(fitted(Type::sans(5.0), "", 60.0, 2, 2.0).1.len(), 0);
    }
}
