//! A winder's line of text, read: `turns 31.5`, `31.5`, `t 31`.

use crate::fault::Fault;
use crate::words::quoted;
use lorimant_text::text;

/// Most turns a counter is believed to show.
const MOST: f64 = 100_000.0;

/// Whole turns that lie on the rod, by a line of a counter: an optional `turns` or `t`, then a plain number. The turn that is
/// not yet round does not count.
///
/// ```
/// use lorimant_core::bench::counter::read;
///
/// assert_eq!(read("turns 31.5\r\n").unwrap(), 31);
/// assert_eq!(read("12").unwrap(), 12);
/// assert!(read("12 rpm").unwrap_err().message.contains("12 rpm"));
/// assert!(read("1e3").is_err());
/// ```
///
/// # Errors
/// A fault at `line` for what is no such line, and for turns no coil has.
pub fn read(line: &str) -> Result<u32, Fault> {
    let text = line.trim();
    let lower = text.to_lowercase();
    let number = ["turns", "turn", "t"].iter().find_map(|word| lower.strip_prefix(word)).unwrap_or(&lower);
    let number = number.trim_start_matches([':', '=']).trim();
    // What only a program writes, 1e3 or inf, is no count.
    let plain = number.chars().all(|c| c.is_ascii_digit() || c == '.');
    match number.parse::<f64>() {
        Ok(turns) if plain && (0.0..=MOST).contains(&turns) => {
            #[expect(clippy::cast_possible_truncation, clippy::cast_sign_loss, reason = "0 to 100 000")]
            let whole = turns as u32;
            Ok(whole)
        }
        _ => {
            let message = text!("counter-winder-sent-which-not-count", text = quoted(text));
            Err(Fault::new("line", message))
        }
    }
}
