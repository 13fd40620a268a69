//! A long request says how far it is, and stops when who asked for it hangs up.
#![allow(clippy::unwrap_used, missing_docs)]

use std::time::Duration;

use axum::body::Body;
use axum::http::{Request, StatusCode, header};
use serde_json::{Value, json};
use tower::ServiceExt as _;

use crate::common::{ADDRESS, Workshop};

async fn progress(workshop: &Workshop) -> Value {
    let reply = workshop.get("/api/progress/the-labels").await;
    assert_eq!(reply.status, StatusCode::OK, "{}", reply.text());
    reply.json()
}

#[tokio::test(flavor = "multi_thread", worker_threads = 2)]
async fn labels_say_how_far_they_are_and_stop_when_nobody_waits() {
    let workshop = Workshop::demo();
    assert_eq!(progress(&workshop).await, json!({ "under_way": false }));
    let bag = workshop.get("/api/bags").await.json()["entries"][0]["id"].clone();
    let request = Request::post("/api/labels/labels.pdf")
        .header(header::HOST, ADDRESS)
        .header("request-name", "the-labels")
        .body(Body::from(json!({ "bags": vec![bag; 500] }).to_string()))
        .unwrap();
    let asked = tokio::spawn(workshop.router.clone().oneshot(request));
    let share = async || progress(&workshop).await["share"].as_f64();
    while share().await.is_none_or(|share| share < 0.02) {
        assert!(!asked.is_finished(), "made before it said how far it was");
        tokio::time::sleep(Duration::from_millis(2)).await;
    }
    asked.abort();
    let mut last = 0.0;
    while let Some(now) = share().await {
        assert!(now >= last, "{now} after {last}");
        last = now;
        tokio::time::sleep(Duration::from_millis(2)).await;
    }
    assert!(last < 0.5, "it went on to {last}");
}
