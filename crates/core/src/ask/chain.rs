//! Chains on the ask line: a weave, a length, and rings said as anywhere else.

use super::answer::{Answer, View};
use super::fits::piece;
use super::line::Unclear;
use super::makes::Kept;
use super::number::{name_of_chain, number_of_chain};
use crate::chain::change::{clasps, weave_called};
use crate::chain::sentence::{length_told, write};
use crate::chain::weaves::{self, Known};
use crate::chain::{ChainRequest, Suits};
use crate::pattern::PatternRequest;
use crate::piece::Piece;
use crate::ring::RingRequest;
use crate::tool::workshop::Workshop;
use crate::words::length::{self, shown};
use lorimant_text::{fixed, text};

/// A chain is not shorter than this, mm: what is, is the size of a ring or a wire.
const SHORTEST_MM: f64 = 30.0;
/// Names of weaves that are words of other things too: they count only where a chain is spoken of.
const OTHERWISE_TOO: [&str; 8] = ["box", "spiral", "single", "double", "triple", "sheet", "cable", "persian"];
/// Words that say a chain is meant.
const CHAIN: [&str; 8] =
    ["chain", "chains", "weave", "bracelet", "necklace", "anklet", "collar", "chainmail"];
/// Words that say nothing more.
const FILLER: [&str; 14] = [
    "how many",
    "what ratio",
    "which ratio",
    "ratio",
    "for",
    "in",
    "of",
    "from",
    "a",
    "an",
    "costume",
    "and",
    "is",
    "?",
];

/// A line with what was read of it blanked out, so that places stay.
struct Left(Vec<char>);

impl Left {
    fn text(&self) -> String {
        self.0.iter().collect()
    }

    /// Blanks a phrase out where it stands as words of its own; whether it was there.
    fn take(&mut self, phrase: &str) -> bool {
        let lower: Vec<char> = self.0.iter().map(|c| c.to_lowercase().next().unwrap_or(*c)).collect();
        let wanted: Vec<char> = phrase.chars().map(|c| if c == '-' { ' ' } else { c }).collect();
        let same = |from: usize| {
            let here = lower.get(from..from + wanted.len());
            here.is_some_and(|here| {
                here.iter().zip(&wanted).all(|(a, b)| a == b || (*b == ' ' && matches!(a, '-' | ' ')))
            })
        };
        let apart = |at: Option<&char>| at.is_none_or(|c| !c.is_alphanumeric());
        let at = (0..lower.len()).find(|from| {
            let before = from.checked_sub(1).and_then(|i| lower.get(i));
            same(*from) && apart(before) && apart(lower.get(from + wanted.len()))
        });
        if let Some(from) = at {
            self.0[from..from + wanted.len()].fill(' ');
        }
        at.is_some()
    }

    /// Blanks a phrase out together with the number before it: `4 spare rings`. The number; nothing where either is missing.
    fn counted(&mut self, phrase: &str) -> Option<f64> {
        let lower = self.text().to_lowercase();
        let at = lower.find(phrase)?;
        let before = lower[..at].trim_end();
        let start = before.rfind(|c: char| !c.is_ascii_digit() && c != '.').map_or(0, |i| i + 1);
        let number = before[start..].parse().ok()?;
        let (from, to) = (lower[..start].chars().count(), lower[..at + phrase.len()].chars().count());
        self.0[from..to].fill(' ');
        Some(number)
    }

    /// Blanks the longest length out that a chain can have, mm.
    fn length(&mut self, workshop: &Workshop) -> Option<f64> {
        let mut best: Option<(f64, usize, usize)> = None;
        for from in 0..self.0.len() {
            let before = from.checked_sub(1).map(|i| self.0[i]);
            if !self.0[from].is_ascii_digit()
                || before.is_some_and(|c| c.is_alphanumeric() || c == '.' || c == '/')
            {
                continue;
            }
            // What reads as a length with its unit, however many words that takes.
            for to in (from + 1..=self.0.len().min(from + 16)).rev() {
                let words: String = self.0[from..to].iter().collect();
                let unit = words.trim_end().chars().last().is_some_and(|c| c.is_alphabetic() || c == '"');
                let ends = self.0.get(to).is_none_or(|c| !c.is_alphanumeric());
                if !unit || !ends || words.contains("ga") || words.contains("wg") {
                    continue;
                }
                let Ok(read) = length::read(&words, workshop.habits) else { continue };
                if read.mm >= SHORTEST_MM && best.is_none_or(|(mm, ..)| read.mm > mm) {
                    best = Some((read.mm, from, to));
                }
                break;
            }
        }
        let (mm, from, to) = best?;
        self.0[from..to].fill(' ');
        Some(mm)
    }
}

/// The weave a line names, blanked out of it; nothing where it names none.
fn weave_of(left: &mut Left) -> Option<&'static Known> {
    let chain = CHAIN.iter().any(|word| left.text().to_lowercase().split_whitespace().any(|w| w == *word));
    let asks = left.text().to_lowercase().contains("ratio for");
    let mut names: Vec<&str> = weaves::all()
        .iter()
        .flat_map(|known| known.also.iter().copied().chain([known.word, known.weave.name.as_str()]))
        .collect();
    // The longest first: “half Persian four in one” before “four in one”.
    names.sort_by_key(|name| std::cmp::Reverse(name.len()));
    for name in names {
        if OTHERWISE_TOO.contains(&name) && !chain && !asks {
            continue;
        }
        if left.take(&name.to_lowercase()) {
            return weave_called(name);
        }
    }
    None
}

/// Answers a line that speaks of a weave; nothing where it names none.
pub(super) fn answer_chain(text: &str, workshop: &Workshop, kept: &dyn Fn() -> Vec<Kept>) -> Option<Answer> {
    let mut left = Left(text.chars().collect());
    let known = weave_of(&mut left)?;
    let mut reply = Answer { understood: vec![known.weave.name.clone()], ..Answer::default() };
    let asks_ratio = left.text().to_lowercase().contains("ratio");
    // What follows the colon is what comes of it.
    if let Some(colon) = left.0.iter().position(|c| *c == ':') {
        left.0.truncate(colon);
    }
    let second = second_of(&mut left);
    let clasp = clasp_of(&mut left);
    let ease_mm = ease_of(&mut left, workshop);
    let spares = left.counted("spare rings").or_else(|| left.counted("spare ring"));
    let scrapped = left.counted("% scrap").or_else(|| left.counted("% spoiled"));
    let across = left.counted("cells across").or_else(|| left.counted("cell across"));
    let chains = left.counted("chains").or_else(|| left.counted("chain"));
    let length_mm = left.length(workshop);
    let opens = [
        ("what does", View::Cost),
        ("what do", View::Cost),
        ("cost of", View::Cost),
        ("cost", View::Cost),
        ("which wire", View::WhichWire),
    ]
    .into_iter()
    .filter(|(word, _)| left.take(word))
    .map(|(_, view)| view)
    .last();
    for word in CHAIN.iter().chain(&FILLER) {
        while left.take(word) {}
    }
    let left_over = left.text();
    let words = left_over.trim().trim_matches(|c: char| !c.is_alphanumeric() && c != '"');
    if words.is_empty() || words == "rings" {
        return Some(of_weave(known, asks_ratio, reply));
    }
    let mut read = |words: &str| match rings_of(text, words, workshop, kept) {
        Ok((ring, assumed)) => {
            reply.assumed.extend(assumed);
            Some(ring)
        }
        Err(unclear) => {
            reply.unclear.push(unclear);
            None
        }
    };
    let Some(ring) = read(words) else { return Some(reply) };
    let second_ring = match second {
        // Of the temper of the others where it says none.
        Some(parsed) => match read(&format!("{} {parsed}", ring.wire.temper.shown())) {
            Some(ring) => Some(ring),
            None => return Some(reply),
        },
        None => None,
    };
    if ring.rings_n != USUAL_RINGS {
        reply.assumed.push(text!("ask-chain-length-decides-how-many-rings", rings_n = ring.rings_n));
    }
    if length_mm.is_none() {
        reply.assumed.push(text!("ask-chain-no-length-given-using-20").to_owned());
    }
    let usual = ChainRequest::new(known.word, ring, length_mm.unwrap_or(200.0));
    #[expect(
        clippy::cast_possible_truncation,
        clippy::cast_sign_loss,
        reason = "limits are checked with the chain"
    )]
    let whole = |typed: Option<f64>, usual: u32| typed.map_or(usual, |n| n.clamp(0.0, 1e6) as u32);
    let chain = ChainRequest {
        second_ring,
        clasp,
        ease_mm,
        spares_n: whole(spares, usual.spares_n),
        scrap_share: scrapped.map_or(usual.scrap_share, |percent| percent / 100.0),
        across_n: whole(across, usual.across_n),
        chains_n: whole(chains, usual.chains_n),
        ..usual
    };
    let reply = planned(chain, workshop, reply);
    Some(Answer { opens: opens.or(reply.opens), ..reply })
}

/// Rings of a line that says no count.
const USUAL_RINGS: u32 = 100;

/// What is known of a weave alone.
fn of_weave(known: &Known, asks_ratio: bool, reply: Answer) -> Answer {
    let smallest =
        crate::chain::ladder::Ladder::of_known(known.word).map_or(0.0, |ladder| ladder.smallest_ratio());
    let headline = text!(
        "ask-chain-rings-about-times-their-wire",
        name = crate::words::capital(&known.weave.name),
        usual = shown(known.usual[0], 1),
        usual2 = shown(known.usual[1], 1),
        smallest = fixed(smallest, 2)
    );
    let missing = if asks_ratio {
        vec![]
    } else {
        vec!["the rings, for example 1.2 mm copper on the 5 mm rod".to_owned()]
    };
    Answer { headline, missing, ..reply }
}

fn planned(chain: ChainRequest, workshop: &Workshop, reply: Answer) -> Answer {
    let unit = workshop.habits.unit;
    let sheet = chain.sheet(workshop);
    let size = chain.ring_size().ok();
    let mut reply = Answer { sentence: write(&chain, size, unit), faults: sheet.faults, ..reply };
    if let Some(result) = sheet.result {
        let plan = result.plan;
        let weave = chain.design().map_or_else(|_| chain.weave.clone(), |design| design.name.clone());
        reply.headline = text!(
            "ask-chain-rings-them-pre-closed-for",
            rings_n = plan.rings_n,
            shut_before_n = plan.pre_closed_n,
            finished_length_mm = length_told(plan.finished_length_mm, unit),
            chain = weave,
            aspect_ratio = shown(plan.aspect_ratio, 1),
            suits = plan.suits.shown(),
            value = if plan.suits == Suits::Stiff { text!("ask-chain-hard-close") } else { "" }
        );
        reply.number = number_of_chain(&plan);
        reply.name = name_of_chain(&chain, &weave, unit);
        reply.figures = result.figures.into_iter().take(4).collect();
    }
    Answer { chain: Some(chain), opens: Some(View::Chain), ..reply }
}

/// `with an S clasp`, `with no clasp`.
fn clasp_of(left: &mut Left) -> Option<PatternRequest> {
    if left.take("with no clasp") || left.take("without a clasp") || left.take("without clasp") {
        return None;
    }
    for kind in clasps() {
        let name = kind.0.name.to_lowercase();
        for parsed in [
            format!("with an {name}"),
            format!("with a {name}"),
            format!("with {name}"),
            format!("and {name}"),
        ] {
            if left.take(&parsed) {
                return Some(PatternRequest::usual(kind));
            }
        }
    }
    None
}

/// `5 mm of ease`, `-5 mm of ease`, `no ease`; mm.
fn ease_of(left: &mut Left, workshop: &Workshop) -> f64 {
    if left.take("no ease") {
        return 0.0;
    }
    let text = left.text();
    let Some(end) = text.find("of ease") else { return 0.0 };
    let start = text[..end].rfind([',', ';']).map_or(0, |i| i + 1);
    let start = text[start..end].rfind("and ").map_or(start, |i| start + i + 4);
    let ease = text[start..end].trim();
    let (sign, ease) = ease.strip_prefix(['-', '−']).map_or((1.0, ease), |rest| (-1.0, rest));
    let Ok(read) = length::read(ease.trim(), workshop.habits) else { return 0.0 };
    let (from, to) = (text[..start].chars().count(), text[..end + 7].chars().count());
    left.0[from..to].fill(' ');
    sign * read.mm
}

/// `; rings of the fold of copper, 1 mm on the 5 mm rod`: what the second part's rings are.
fn second_of(left: &mut Left) -> Option<String> {
    let text = left.text();
    let start = text.find("; rings of the ")?;
    let end = text[start..].find(", with").map_or(text.len(), |i| start + i);
    let (_, rings) = text[start + 15..end].split_once(" of ")?;
    let rings = rings.to_owned();
    let (from, to) = (text[..start].chars().count(), text[..end].chars().count());
    left.0[from..to].fill(' ');
    Some(rings)
}

/// The rest of the line, as rings are said.
fn rings_of(
    typed: &str,
    left: &str,
    workshop: &Workshop,
    kept: &dyn Fn() -> Vec<Kept>,
) -> Result<(RingRequest, Vec<String>), Unclear> {
    let words = left.split_whitespace().collect::<Vec<_>>().join(" ");
    let words = words.replace(" ,", ",").trim_matches([',', ';', '.', ' ']).to_owned();
    let rings = if words.contains("ring") { words.clone() } else { text!("ask-chain-rings", words) };
    let why = match piece(&rings, workshop, kept) {
        Ok((Piece::Rings(ring), assumed)) => return Ok((ring, assumed)),
        Ok(_) => text!("ask-chain-chain-made-rings-say-their").to_owned(),
        Err(faults) => faults.0.into_iter().map(|fault| fault.message).collect::<Vec<_>>().join(" "),
    };
    let first = words.split_whitespace().next().unwrap_or(&words);
    let from = typed.find(first).map_or(0, |at| typed[..at].chars().count());
    Err(Unclear { from, to: typed.chars().count(), text: words, why, instead: vec![], holds_back: true })
}
