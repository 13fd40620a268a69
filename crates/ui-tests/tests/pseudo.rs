//! With every catalogue in other letters, no plain English reaches a person, by the API or on a page, but what people typed and
//! the words the ask line reads.

use std::collections::BTreeSet;

use anyhow::{Context as _, Result, ensure};
use lorimant_ui_tests::at_the_bench;
use lorimant_ui_tests::server::Server;
use serde_json::{Value, json};

/// A workshop's server that speaks English in other letters, and what people typed into it: it is the same in every
/// language.
struct Pseudo {
    address: String,
    typed: Vec<String>,
    typed_words: BTreeSet<String>,
}

impl Pseudo {
    async fn of(server: &Server) -> Result<Self> {
        server.speak_pseudo().await?;
        let mut pseudo = Self { address: server.address(), typed: vec![], typed_words: BTreeSet::new() };
        let mut typed = BTreeSet::new();
        for line in pseudo.read("/api/workshop.jsonl")?.lines() {
            strings(&serde_json::from_str(line)?, &mut typed);
        }
        pseudo.typed_words = typed.iter().flat_map(|text| words_of(text)).collect();
        pseudo.typed =
            typed.into_iter().filter(|text| text.contains(' ')).map(|text| text.to_lowercase()).collect();
        pseudo.typed.sort_by_key(|text| std::cmp::Reverse(text.len()));
        Ok(pseudo)
    }

    fn read(&self, path: &str) -> Result<String> {
        let agent: ureq::Agent = ureq::Agent::config_builder().http_status_as_error(false).build().into();
        Ok(agent.get(format!("{}{path}", self.address)).call()?.body_mut().read_to_string()?)
    }

    /// Two plain words beside each other that nobody typed, or one in the middle of other letters.
    fn is_english(&self, text: &str) -> bool {
        let own = self.typed.iter().fold(text.to_lowercase(), |text, typed| text.replace(typed, "…"));
        let other = |word: &String| !word.is_ascii() && word.chars().all(char::is_alphabetic);
        let one = |word: &String| {
            word.len() > 3 && word.chars().all(|l| l.is_ascii_lowercase()) && !self.typed_words.contains(word)
        };
        // What is quoted was typed, or is the name of a field.
        let unquoted: Vec<&str> = own.split(['“', '”']).step_by(2).collect();
        let words: Vec<String> = words_of(&unquoted.join(" … ")).collect();
        if words.iter().any(other) && words.iter().any(one) {
            return true;
        }
        let plain = |word: &str| {
            let word = word.trim_matches(|letter: char| !letter.is_alphanumeric());
            word.len() > 2 && word.chars().all(|letter| letter.is_ascii_alphabetic())
        };
        let words: Vec<bool> = own.split_whitespace().map(plain).collect();
        words.windows(2).any(|pair| pair[0] && pair[1])
    }

    /// What stands in plain English in an answer.
    fn in_answer(&self, of: &str, answer: &Value) -> Vec<String> {
        let mut all = BTreeSet::new();
        strings(answer, &mut all);
        all.into_iter().filter(|text| self.is_english(text)).map(|text| format!("{of}: {text}")).collect()
    }
}

/// The words of a text, in small letters.
fn words_of(text: &str) -> impl Iterator<Item = String> {
    let of = |word: &str| word.to_lowercase();
    text.split(|letter: char| !letter.is_alphanumeric()).filter(|word| !word.is_empty()).map(of)
}

fn strings(value: &Value, into: &mut BTreeSet<String>) {
    match value {
        Value::String(text) => {
            into.insert(text.clone());
        }
        Value::Array(values) => values.iter().for_each(|value| strings(value, into)),
        Value::Object(fields) => fields.values().for_each(|value| strings(value, into)),
        _ => {}
    }
}

/// Takes away what is English in every language: words to write into the ask line instead, and those of the line itself.
fn without_words_of(line: &str, value: &mut Value) {
    match value {
        Value::String(text) => {
            let words = line.split(' ').filter(|word| word.len() > 2);
            *text = words.fold(text.clone(), |text, word| text.replace(word, "…"));
        }
        Value::Array(values) => values.iter_mut().for_each(|value| without_words_of(line, value)),
        Value::Object(fields) => {
            fields.remove("instead");
            fields.values_mut().for_each(|value| without_words_of(line, value));
        }
        _ => {}
    }
}

/// Asked of the line, each of another kind.
const ASKED: [&str; 12] = [
    "120 rings 5 mm inside copper 18 awg",
    "24 ear wires sterling 20 ga",
    "byzantine bracelet 18 cm of 1.2 mm copper rings 5 mm inside",
    "how much does 3 m of 1 mm copper weigh",
    "how many hook clasps from 2 m",
    "strong clasp for a heavy necklace",
    "does a 4 mm ring of 18 ga copper fit through a 5 mm ring of 16 ga copper",
    "my wire cracked",
    "how much 1 mm copper have I got",
    "what do I get if I cut 2 in for ear wires",
    "which wire for ear wires",
    "clover head pin",
];

#[tokio::test]
async fn no_plain_english_is_in_an_answer() -> Result<()> {
    let server = Server::start().await?;
    let pseudo = Pseudo::of(&server).await?;
    let description: Value = serde_json::from_str(&pseudo.read("/api/openapi.json")?)?;
    let (mut found, mut read_n) = (vec![], 0);
    for (path, methods) in description["paths"].as_object().context("no paths")? {
        // What machines read has names of its own, and the simulated feed of prices is data of the outside.
        let answers = &methods["get"]["responses"]["200"]["content"]["application/json"];
        if answers.is_null() || path.contains("openapi") || path.ends_with("/feed") {
            continue;
        }
        let (before, after) = path.split_once('{').unwrap_or((path, ""));
        let (name, after) = after.split_once('}').unwrap_or(("", ""));
        if after.contains('{') {
            continue;
        }
        for id in 1..=if name.is_empty() { 1 } else { 3 } {
            let at = if name.is_empty() { path.clone() } else { format!("{before}{id}{after}") };
            if let Ok(answer) = serde_json::from_str::<Value>(&pseudo.read(&at)?) {
                read_n += 1;
                found.extend(pseudo.in_answer(&at, &answer));
            }
        }
    }
    for line in ASKED {
        let answered =
            ureq::post(format!("{}/api/ask", pseudo.address)).send_json(json!({ "text": line }))?;
        let mut answer: Value = serde_json::from_str(&answered.into_body().read_to_string()?)?;
        without_words_of(line, &mut answer);
        read_n += 1;
        found.extend(pseudo.in_answer(line, &answer));
    }
    server.stop().await;
    ensure!(read_n > 80, "{read_n} answers were read");
    ensure!(found.is_empty(), "{} of {read_n}:\n{}", found.len(), found.join("\n"));
    Ok(())
}

/// The texts of a drawing: what stands between its signs.
fn texts_of(svg: &str) -> impl Iterator<Item = &str> {
    svg.split('<')
        .filter_map(|part| part.split_once('>'))
        .map(|(_, text)| text.trim())
        .filter(|text| !text.is_empty())
}

/// What is said in a calendar: its lines put together again where they were broken, each without the name before it.
fn lines_of(calendar: &str) -> Vec<String> {
    let whole = calendar.replace("\r\n ", "").replace("\n ", "");
    let told = ["SUMMARY", "DESCRIPTION", "X-WR-CALNAME"];
    let mut texts = vec![];
    for (name, text) in whole.lines().filter_map(|line| line.split_once(':')) {
        if told.iter().any(|one| name.starts_with(one)) {
            texts.push(text.replace("\\n", " ").replace('\\', ""));
        }
    }
    texts
}

/// Cards, cut sheets, drawings and labels are printed from one set of shapes; as SVG their texts can be read.
#[tokio::test]
async fn no_plain_english_is_on_paper() -> Result<()> {
    let server = Server::start().await?;
    let pseudo = Pseudo::of(&server).await?;
    let (mut found, mut read_n) = (vec![], 0);
    let mut read = |of: &str, texts: Vec<String>| {
        read_n += texts.len();
        found.extend(
            texts.into_iter().filter(|text| pseudo.is_english(text)).map(|text| format!("{of}: {text}")),
        );
    };
    let printed = [
        ("plans", "rings", "cut-sheet.svg"),
        ("findings", "findings", "card.svg"),
        ("chains", "chains", "drawing.svg"),
    ];
    for (list, room, file) in printed {
        let all: Value = serde_json::from_str(&pseudo.read(&format!("/api/{list}"))?)?;
        for entry in all["entries"].as_array().context("no entries")? {
            let path = format!("{}/api/{room}/export/{file}", pseudo.address);
            let svg = ureq::post(path).send_json(&entry["record"])?.into_body().read_to_string()?;
            read(file, texts_of(&svg).map(str::to_owned).collect());
        }
    }
    let bags: Value = serde_json::from_str(&pseudo.read("/api/bags")?)?;
    for bag in bags["entries"].as_array().context("no bags")? {
        let svg = pseudo.read(&format!("/api/bags/{}/files/label.svg", bag["id"]))?;
        read("label.svg", texts_of(&svg).map(str::to_owned).collect());
    }
    read("schedule.ics", lines_of(&pseudo.read("/api/schedule/files/schedule.ics")?));
    server.stop().await;
    ensure!(read_n > 200, "{read_n} texts were read");
    ensure!(found.is_empty(), "{} of {read_n}:\n{}", found.len(), found.join("\n"));
    Ok(())
}

/// Each view with what is there once it is filled.
const VIEWS: [(&str, &str); 22] = [
    ("/today", "[data-test=next-session]"),
    ("/rings", "[data-test=figures]"),
    ("/chains", "[data-test=chain-stage] canvas"),
    ("/saved", "[data-test=plans]"),
    ("/findings", "[data-test=ready] svg"),
    ("/findings/piece?kind=hook-clasp", "[data-test=strip]"),
    ("/wire", "[data-test=lots] .lot"),
    ("/wire/choose", "[data-test=candidates] li"),
    ("/wire/cutting-plan", "[data-test=strip] svg"),
    ("/wire/cost", "[data-test=cost-each]"),
    ("/orders", "[data-test=orders]"),
    ("/orders/schedule", "[data-test=sessions]"),
    ("/orders/stock", "[data-test=bags] svg"),
    ("/bench", "[data-test=begin]"),
    ("/measure", "[data-test=checks]"),
    ("/measure/springback", "[data-test=lot-plot] canvas"),
    ("/measure/practice", "[data-test=begin-drill]"),
    ("/measure/consistency", "[data-test=own-spread]"),
    ("/measure/fix", "[data-test=what-now]"),
    ("/tools", "[data-test=rods]"),
    ("/reference", "[data-test=metals]"),
    ("/help", "[data-test=help]"),
];

/// The browser writes dates in its own language.
fn without_months(line: &str) -> String {
    const MONTHS: [&str; 11] = [
        "January",
        "February",
        "March",
        "April",
        "June",
        "July",
        "August",
        "September",
        "October",
        "November",
        "December",
    ];
    MONTHS.iter().fold(line.to_owned(), |line, month| line.replace(month, "…"))
}

/// What is read on the page, line by line, and what is said of its controls.
const READ: &str = "const text = [...document.querySelectorAll('[aria-label], [placeholder], [title]')]\
    .flatMap((one) => ['aria-label', 'placeholder', 'title'].map((name) => one.getAttribute(name))).filter(Boolean); \
    return [...document.body.innerText.split('\\n'), ...text]";

#[test]
fn no_plain_english_is_on_a_page() -> Result<()> {
    at_the_bench(|maker| async move {
        let pseudo = Pseudo::of(&maker.server).await?;
        let mut found = BTreeSet::new();
        for (path, there) in VIEWS {
            maker.open(path).await?;
            maker.find(there).await?;
            let read = maker.script(READ).await?;
            let lines = read.as_array().context("no lines")?.iter().filter_map(Value::as_str);
            found.extend(
                lines
                    .filter(|line| pseudo.is_english(line) && pseudo.is_english(&without_months(line)))
                    .map(|line| format!("{path}: {line}")),
            );
        }
        ensure!(found.is_empty(), "{}:\n{}", found.len(), found.into_iter().collect::<Vec<_>>().join("\n"));
        Ok(())
    })
}
