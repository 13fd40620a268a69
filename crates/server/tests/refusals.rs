//! What every route owes to a wrong request, read off the API's own description: a problem document, a sentence, the
//! field, and nothing written.
#![allow(clippy::unwrap_used, clippy::panic, missing_docs)]

use crate::common::{ADDRESS, Reply, Workshop};
use axum::body::Body;
use axum::http::{Request, StatusCode, header};
use lorimant_server::openapi;
use rstest::rstest;
use serde_json::{Value, json};

struct Operation {
    method: String,
    path: String,
    described: Value,
}

impl Operation {
    /// Its path with numbers and names filled in.
    fn at(&self, id: i64) -> String {
        let id = id.to_string();
        let path = self.path.replace("{id}", &id).replace("{batch}", &id).replace("{set}", "dowels");
        let file = if self.path.contains("tables") { "lots.csv" } else { "plan.csv" };
        path.replace("{file}", file)
    }

    fn takes_json(&self) -> bool {
        !self.described["requestBody"]["content"]["application/json"].is_null()
    }

    async fn send(&self, workshop: &Workshop, id: i64, body: &str) -> Reply {
        let query = if self.described["parameters"].to_string().contains("\"revision\"") {
            "?revision=0"
        } else {
            ""
        };
        workshop.ask(&self.method, &format!("{}{query}", self.at(id)), body.to_owned()).await
    }
}

fn operations() -> Vec<Operation> {
    let described: Value = serde_json::from_str(&openapi()).unwrap();
    let mut all = vec![];
    for (path, methods) in described["paths"].as_object().unwrap() {
        for (method, operation) in methods.as_object().unwrap() {
            let method = method.to_uppercase();
            all.push(Operation { method, path: path.clone(), described: operation.clone() });
        }
    }
    all
}

/// A refusal is a problem document with a sentence, and says what is wrong.
fn is_a_problem(reply: &Reply, what: &str) -> Value {
    assert!(reply.status.is_client_error(), "{what}: {} {}", reply.status, reply.text());
    let kind = reply.headers.get(header::CONTENT_TYPE).map(|kind| kind.to_str().unwrap().to_owned());
    assert_eq!(kind.as_deref(), Some("application/problem+json"), "{what}");
    let problem = reply.json();
    assert_eq!(problem["status"], reply.status.as_u16(), "{what}");
    for part in ["type", "title", "detail"] {
        assert!(problem[part].as_str().is_some_and(|text| !text.trim().is_empty()), "{what}: {problem}");
    }
    let detail = problem["detail"].as_str().unwrap();
    assert!(detail.ends_with('.') || detail.ends_with('?') || detail.ends_with(':'), "{what}: {detail}");
    for leak in ["serde", "rusqlite", "panicked", "unwrap", "at line"] {
        assert!(!detail.contains(leak), "{what} speaks of its insides: {detail}");
    }
    problem
}

/// Everything in the workshop that can be asked for.
async fn everything(workshop: &Workshop) -> Vec<String> {
    let mut all = vec![];
    for path in [
        "/api/stock/all.json",
        "/api/plans",
        "/api/findings",
        "/api/rods",
        "/api/pliers",
        "/api/blades",
        "/api/picks",
        "/api/settings",
    ] {
        all.push(workshop.get(path).await.text());
    }
    all
}

#[tokio::test]
async fn a_field_nobody_knows_is_refused_by_name_everywhere_and_nothing_is_written() {
    let workshop = Workshop::demo();
    let before = everything(&workshop).await;
    let mut asked = 0;
    for operation in operations().iter().filter(|operation| operation.takes_json()) {
        let what = format!("{} {}", operation.method, operation.path);
        let reply = operation.send(&workshop, 1, r#"{"never_heard_of": 1}"#).await;
        let problem = is_a_problem(&reply, &what);
        assert!(
            problem.to_string().contains("never_heard_of") || problem.to_string().contains("missing"),
            "{what}: {problem}"
        );
        asked += 1;
    }
    assert!(asked > 30, "only {asked} operations take JSON");
    assert_eq!(everything(&workshop).await, before);
}

#[rstest]
#[case::broken("{\"name\": ")]
#[case::a_list("[]")]
#[case::a_word("hooks")]
#[case::nothing("")]
#[case::a_number("12")]
#[case::not_text("{\"name\": \"\\ud800\"}")]
#[tokio::test]
async fn what_is_no_record_is_refused_everywhere(#[case] body: &str) {
    let workshop = Workshop::demo();
    let before = everything(&workshop).await;
    for operation in operations().iter().filter(|operation| operation.takes_json()) {
        let what = format!("{} {} with {body:?}", operation.method, operation.path);
        is_a_problem(&operation.send(&workshop, 1, body).await, &what);
    }
    assert_eq!(everything(&workshop).await, before);
}

#[rstest]
#[case(0)]
#[case(-1)]
#[case(987_654_321)]
#[case(i64::MAX)]
#[tokio::test]
async fn what_is_not_there_is_said_to_be_missing(#[case] id: i64) {
    let workshop = Workshop::demo();
    let before = everything(&workshop).await;
    for operation in
        operations().iter().filter(|one| one.path.contains("{id}") || one.path.contains("{batch}"))
    {
        let what = format!("{} {} of {id}", operation.method, operation.path);
        let body = match operation.path.rsplit('/').next().unwrap() {
            "archive" => json!({ "revision": 0, "archived": true }),
            "set-aside" => json!({ "name": "rest", "length_mm": 100.0 }),
            "weigh" => json!({ "typed": "100 g" }),
            "ledger" => json!({ "kind": "tried", "length_mm": -10.0 }),
            _ => json!({}),
        };
        let reply = operation.send(&workshop, id, &body.to_string()).await;
        let problem = is_a_problem(&reply, &what);
        // A record that cannot be read at all is refused before it is looked for.
        assert!([404, 409, 422, 400].contains(&reply.status.as_u16()), "{what}: {problem}");
        if operation.method == "GET" || body != json!({}) {
            assert_eq!(reply.status, StatusCode::NOT_FOUND, "{what}: {problem}");
        }
    }
    assert_eq!(everything(&workshop).await, before);
}

#[tokio::test]
async fn a_number_in_the_path_that_is_none_is_refused() {
    let workshop = Workshop::demo();
    for path in
        ["/api/plans/first", "/api/lots/1.5", "/api/lots/99999999999999999999", "/api/rods/1e3/archive"]
    {
        let method = if path.ends_with("archive") { "POST" } else { "GET" };
        let reply = workshop.ask(method, path, "{\"revision\": 0, \"archived\": true}").await;
        is_a_problem(&reply, path);
    }
}

#[rstest]
#[case("/api/lots?most=lots", "most")]
#[case("/api/lots?metal=wood", "wood")]
#[case("/api/lots?nonsense=1", "nonsense")]
#[case("/api/plans?skip=-1", "skip")]
#[case("/api/rods?most=1e99", "most")]
#[tokio::test]
async fn a_question_that_cannot_be_asked_is_refused_by_its_name(#[case] path: &str, #[case] says: &str) {
    let problem = is_a_problem(&Workshop::demo().get(path).await, path);
    assert!(problem.to_string().contains(says), "{problem}");
}

#[tokio::test]
async fn nothing_is_where_there_is_nothing() {
    let workshop = Workshop::empty();
    for (method, path) in
        [("GET", "/api/hats"), ("POST", "/api/"), ("DELETE", "/api/plans/1"), ("PUT", "/api/health")]
    {
        let reply = workshop.ask(method, path, "{}").await;
        is_a_problem(&reply, path);
        assert!([404, 405].contains(&reply.status.as_u16()), "{method} {path}: {}", reply.status);
    }
    // Pages are the front end's own business: any other path gives it.
    let page = workshop.get("/rings/of/nobody").await;
    assert_eq!(page.status, StatusCode::OK);
    assert!(page.text().starts_with("<!doctype html>") || page.text().starts_with("<!DOCTYPE html>"));
}

#[tokio::test]
async fn a_form_sent_by_another_page_is_no_record() {
    let workshop = Workshop::demo();
    let request = Request::post("/api/rods")
        .header(header::HOST, ADDRESS)
        .header(header::CONTENT_TYPE, "application/x-www-form-urlencoded")
        .body(Body::from("diameter_mm=5"))
        .unwrap();
    is_a_problem(&workshop.send(request).await, "a form");
}
