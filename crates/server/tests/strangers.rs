//! Strange requests, made from the API's own description with a pinned seed: none makes the server fail, and no answer
//! is one that the description does not state.
#![allow(clippy::unwrap_used, clippy::panic, missing_docs)]

use crate::common::{ADDRESS, Workshop};
use axum::body::Body;
use axum::http::{Request, header};
use lorimant_server::openapi;
use rand::rngs::StdRng;
use rand::seq::IndexedRandom as _;
use rand::{Rng as _, SeedableRng as _};
use serde_json::{Map, Value, json};

const SEED: u64 = 20_261_126;
const REQUESTS: usize = 6000;

const TEXTS: &[&str] = &[
    "",
    " ",
    "copper",
    "5 mm",
    "18 awg",
    "1,250",
    "-1",
    "1e400",
    "NaN",
    "%_\\",
    "'; DROP TABLE entries; --",
    "<b>",
    "石のかんざし",
    "😀",
    "\u{202e}evil",
    "\u{0}",
    "../../etc/passwd",
    "=1+1",
    "2026-02-30",
    "2 1/0 in",
];
const NUMBERS: &[f64] = &[0.0, 1.0, -1.0, 0.5, 5.0, 1e-9, 1e9, -1e9, 1e300, 64.0, 120.0, 4_294_967_296.0];

struct Stranger {
    described: Value,
    chance: StdRng,
}

impl Stranger {
    fn one<'a, T>(&mut self, all: &'a [T]) -> &'a T {
        all.choose(&mut self.chance).unwrap()
    }

    fn text(&mut self) -> String {
        match self.chance.random_range(0..12) {
            0 => "reed ".repeat(2000),
            _ => (*self.one(TEXTS)).to_owned(),
        }
    }

    fn anything(&mut self) -> Value {
        match self.chance.random_range(0..7) {
            0 => Value::Null,
            1 => json!(true),
            2 => json!(*self.one(NUMBERS)),
            3 => json!([]),
            4 => json!({}),
            5 => json!([[[{ "a": [] }]]]),
            _ => json!(self.text()),
        }
    }

    /// Something the schema asks for, mostly.
    fn value(&mut self, schema: &Value, depth: u32) -> Value {
        if self.chance.random_ratio(1, 25) || depth > 8 {
            return self.anything();
        }
        if let Some(name) = schema["$ref"].as_str() {
            let name = name.rsplit('/').next().unwrap();
            let schema = self.described["components"]["schemas"][name].clone();
            return self.value(&schema, depth + 1);
        }
        for choice in ["oneOf", "anyOf"] {
            if let Some(all) = schema[choice].as_array() {
                let one = self.one(all).clone();
                return self.value(&one, depth + 1);
            }
        }
        if let Some(all) = schema["allOf"].as_array() {
            let mut whole = Map::new();
            for part in all.clone() {
                if let Value::Object(fields) = self.value(&part, depth + 1) {
                    whole.extend(fields);
                }
            }
            return Value::Object(whole);
        }
        if let Some(all) = schema["enum"].as_array() {
            return self.one(all).clone();
        }
        let kind = match &schema["type"] {
            Value::Array(kinds) => self.one(kinds).clone(),
            kind => kind.clone(),
        };
        match kind.as_str() {
            Some("object") => {
                let mut fields = Map::new();
                let needed: Vec<&str> =
                    schema["required"].as_array().into_iter().flatten().filter_map(Value::as_str).collect();
                for (name, field) in schema["properties"].as_object().into_iter().flatten() {
                    let wanted = needed.contains(&name.as_str());
                    if self.chance.random_ratio(if wanted { 39 } else { 20 }, 40) {
                        fields.insert(name.clone(), self.value(field, depth + 1));
                    }
                }
                if self.chance.random_ratio(1, 30) {
                    fields.insert("spoon".to_owned(), self.anything());
                }
                Value::Object(fields)
            }
            Some("array") => {
                let n = *self.one(&[0, 1, 1, 2, 3]);
                (0..n).map(|_| self.value(&schema["items"], depth + 1)).collect()
            }
            Some("integer") => json!(*self.one(&[0_i64, 1, 2, 7, 24, 500, -1, i64::MAX])),
            Some("number") => json!(*self.one(NUMBERS)),
            Some("boolean") => json!(self.chance.random::<bool>()),
            Some("null") => Value::Null,
            Some("string") => json!(self.text()),
            _ => self.anything(),
        }
    }

    /// A path and a query as its parameters ask for them.
    fn address(&mut self, path: &str, operation: &Value) -> String {
        let (mut path, mut query) = (path.to_owned(), vec![]);
        for parameter in operation["parameters"].as_array().into_iter().flatten() {
            let name = parameter["name"].as_str().unwrap();
            let value = match self.value(&parameter["schema"], 0) {
                Value::String(text) => text,
                other => other.to_string(),
            };
            // Many paths want something that is there.
            let value = if parameter["in"] == "path" && self.chance.random_ratio(2, 3) {
                let known = ["1", "2", "30", "plan.csv", "lots.csv", "dowels", "cut-plan.pdf", "card.pdf"];
                (*self.one(&known)).to_owned()
            } else {
                value
            };
            let written: String = value.bytes().take(4000).map(|byte| format!("%{byte:02X}")).collect();
            if parameter["in"] == "path" {
                path = path.replace(&format!("{{{name}}}"), &written);
            } else if parameter["required"] == true || self.chance.random::<bool>() {
                query.push(format!("{name}={written}"));
            }
        }
        if query.is_empty() { path } else { format!("{path}?{}", query.join("&")) }
    }

    fn body(&mut self, operation: &Value) -> String {
        let content = &operation["requestBody"]["content"];
        let Some(schema) = content.as_object().and_then(|all| all.values().next()).map(|one| &one["schema"])
        else {
            return String::new();
        };
        let mut body = match self.value(schema, 0) {
            Value::String(text) => text,
            other => other.to_string(),
        };
        if self.chance.random_ratio(1, 20) {
            let cut = self.chance.random_range(0..=body.len());
            body.truncate((0..=cut).rev().find(|at| body.is_char_boundary(*at)).unwrap_or(0));
        }
        body
    }
}

#[tokio::test(flavor = "multi_thread", worker_threads = 2)]
async fn no_request_makes_it_fail_and_every_answer_is_stated() {
    let workshop = Workshop::demo();
    let described: Value = serde_json::from_str(&openapi()).unwrap();
    let mut operations = vec![];
    for (path, methods) in described["paths"].as_object().unwrap() {
        for (method, operation) in methods.as_object().unwrap() {
            operations.push((path.clone(), method.to_uppercase(), operation.clone()));
        }
    }
    let mut stranger = Stranger { described, chance: StdRng::seed_from_u64(SEED) };
    let mut answered = std::collections::BTreeMap::<u16, usize>::new();
    for n in 0..REQUESTS {
        let (path, method, operation) = stranger.one(&operations).clone();
        let address = stranger.address(&path, &operation);
        let body = stranger.body(&operation);
        let request = Request::builder().method(method.as_str()).uri(&address).header(header::HOST, ADDRESS);
        let reply = workshop.send(request.body(Body::from(body.clone())).unwrap()).await;
        let shown = || {
            let (address, text): (String, String) =
                (address.chars().take(200).collect(), reply.text().chars().take(400).collect());
            let body: String = body.chars().take(600).collect();
            format!("request {n}: {method} {address}\n{body}\n{} {text}", reply.status)
        };
        *answered.entry(reply.status.as_u16()).or_default() += 1;
        assert!(!reply.status.is_server_error(), "{}", shown());
        let status = reply.status.as_u16().to_string();
        let responses = &operation["responses"];
        let stated = [status.clone(), format!("{}XX", &status[..1])];
        let Some(stated) = stated.iter().map(|key| &responses[key]).find(|one| one.is_object()) else {
            panic!("a status that is not stated, {}", shown());
        };
        let kind = reply.headers.get(header::CONTENT_TYPE).map(|kind| kind.to_str().unwrap());
        let kind = kind.map(|kind| kind.split(';').next().unwrap().to_owned());
        let kinds: Vec<&String> =
            stated["content"].as_object().into_iter().flatten().map(|(kind, _)| kind).collect();
        match kind {
            Some(kind) if !kinds.is_empty() => assert!(kinds.contains(&&kind), "{kinds:?}, {}", shown()),
            _ => assert!(reply.bytes.is_empty() || kinds.is_empty(), "{}", shown()),
        }
        if !reply.status.is_success() {
            let problem = reply.json();
            assert_eq!(problem["status"], reply.status.as_u16(), "{}", shown());
            let text = problem["detail"].as_str().unwrap();
            assert!(!text.is_empty() && text.len() < 4000, "{}", shown());
        }
    }
    // As many must be understood as refused, or nothing was tried.
    assert!(answered[&200] * 5 > REQUESTS, "{answered:?}");
    println!("{answered:?}");
}
