//! Who is let in: hosts, origins, passphrase, sizes, headers; and that the description is true.
#![allow(clippy::unwrap_used, missing_docs)]

use std::collections::HashSet;
use std::process::Command;

use crate::common::{ADDRESS, Workshop};
use axum::body::Body;
use axum::http::{Request, StatusCode, header};
use lorimant_server::{Store, hash_passphrase, openapi};
use rstest::rstest;
use serde_json::{Value, json};

#[rstest]
#[case("evil.example", None, StatusCode::FORBIDDEN)]
#[case("127.0.0.1:9999", None, StatusCode::FORBIDDEN)]
#[case("", None, StatusCode::FORBIDDEN)]
#[case(ADDRESS, Some("http://evil.example"), StatusCode::FORBIDDEN)]
#[case(ADDRESS, Some("http://127.0.0.1:9999"), StatusCode::FORBIDDEN)]
#[case(ADDRESS, Some("null"), StatusCode::FORBIDDEN)]
#[case(ADDRESS, Some("http://127.0.0.1:4780"), StatusCode::OK)]
#[case("localhost:4780", None, StatusCode::OK)]
#[tokio::test]
async fn foreign_hosts_and_origins_are_refused(
    #[case] host: &str,
    #[case] origin: Option<&str>,
    #[case] status: StatusCode,
) {
    let workshop = Workshop::empty();
    let mut request = Request::builder().uri("/api/plans").header(header::HOST, host);
    if let Some(origin) = origin {
        request = request.header(header::ORIGIN, origin);
    }
    assert_eq!(workshop.send(request.body(Body::empty()).unwrap()).await.status, status);
}

#[tokio::test]
async fn bodies_have_a_limit() {
    let large = "x".repeat(3 * 1024 * 1024);
    let reply = Workshop::empty().ask("POST", "/api/import", large).await;
    assert_eq!(reply.status, StatusCode::PAYLOAD_TOO_LARGE);
    assert!(reply.json()["detail"].as_str().unwrap().contains("too large for this server"));
}

#[tokio::test]
async fn answers_carry_strict_headers() {
    let workshop = Workshop::empty();
    for path in ["/api/health", "/rings", "/nothing.js"] {
        let headers = workshop.get(path).await.headers;
        let policy = headers[header::CONTENT_SECURITY_POLICY].to_str().unwrap();
        assert!(policy.starts_with("default-src 'none'") && !policy.contains("unsafe"), "{policy}");
        assert_eq!(headers[header::X_CONTENT_TYPE_OPTIONS], "nosniff");
        assert_eq!(headers[header::X_FRAME_OPTIONS], "DENY");
    }
    assert_eq!(workshop.get("/api/nothing").await.status, StatusCode::NOT_FOUND);
}

#[tokio::test]
async fn a_passphrase_locks_everything_but_the_door() {
    let open = Workshop::demo();
    open.store.set_passphrase_hash(&hash_passphrase("three herons at dusk").unwrap()).unwrap();
    let workshop = Workshop::of(open.folder, open.store);
    assert_eq!(workshop.get("/api/plans").await.status, StatusCode::UNAUTHORIZED);
    assert_eq!(workshop.get("/api/saved/all.json").await.status, StatusCode::UNAUTHORIZED);
    assert_eq!(workshop.get("/api/health").await.status, StatusCode::OK);
    assert_eq!(workshop.get("/api/session").await.json()["locked"], true);
    let wrong = workshop.post("/api/session", &json!({ "passphrase": "three herons at dawn" })).await;
    assert_eq!(wrong.status, StatusCode::UNAUTHORIZED);
    let right = workshop.post("/api/session", &json!({ "passphrase": "three herons at dusk" })).await;
    assert_eq!(right.status, StatusCode::NO_CONTENT);
    let cookie = right.headers[header::SET_COOKIE].to_str().unwrap();
    assert!(cookie.contains("HttpOnly") && cookie.contains("SameSite=Strict"), "{cookie}");
    let with = |method: &str, path: &str, token: &str| {
        let request = Request::builder().method(method).uri(path).header(header::HOST, ADDRESS);
        request.header(header::COOKIE, token).body(Body::empty()).unwrap()
    };
    let token = cookie.split(';').next().unwrap();
    assert_eq!(workshop.send(with("GET", "/api/plans", token)).await.status, StatusCode::OK);
    let forged = "lorimant_session=00";
    assert_eq!(workshop.send(with("GET", "/api/plans", forged)).await.status, StatusCode::UNAUTHORIZED);
    workshop.send(with("DELETE", "/api/session", token)).await;
    assert_eq!(workshop.send(with("GET", "/api/plans", token)).await.status, StatusCode::UNAUTHORIZED);
}

#[rstest]
#[case("short")]
#[case("             ")]
#[case("     reed     ")]
fn short_passphrases_are_refused(#[case] passphrase: &str) {
    assert!(hash_passphrase(passphrase).unwrap_err().contains("10 characters"));
}

/// A workshop with a passphrase.
fn locked() -> Workshop {
    let open = Workshop::empty();
    open.store.set_passphrase_hash(&hash_passphrase("three herons at dusk").unwrap()).unwrap();
    Workshop::of(open.folder, open.store)
}

async fn unlock(workshop: &Workshop, headers: &[(&str, &str)]) -> crate::common::Reply {
    let mut request = Request::builder().method("POST").uri("/api/session").header(header::HOST, ADDRESS);
    for (name, value) in headers {
        request = request.header(*name, *value);
    }
    let body = json!({ "passphrase": "three herons at dusk" }).to_string();
    workshop.send(request.body(Body::from(body)).unwrap()).await
}

async fn knows(workshop: &Workshop, cookie: &str) -> bool {
    let request = Request::builder().uri("/api/plans").header(header::HOST, ADDRESS);
    let request = request.header(header::COOKIE, cookie.split(';').next().unwrap());
    workshop.send(request.body(Body::empty()).unwrap()).await.status == StatusCode::OK
}

#[tokio::test]
async fn a_session_survives_a_restart_and_ends_with_its_passphrase_or_unused() {
    let workshop = locked();
    let cookie = unlock(&workshop, &[]).await.headers[header::SET_COOKIE].to_str().unwrap().to_owned();
    let path = workshop.folder.path().join("workshop.lorimant");
    let Workshop { folder, store, router } = workshop;
    drop((store, router));
    let again = Workshop::of(folder, Store::open(&path).unwrap());
    assert!(knows(&again, &cookie).await, "a restart locked it out");
    // Thirteen hours unused.
    let Workshop { folder, store, router } = again;
    drop((store, router));
    let file = rusqlite::Connection::open(&path).unwrap();
    file.execute("UPDATE sessions SET seen_at = seen_at - 13 * 3600", []).unwrap();
    drop(file);
    let later = Workshop::of(folder, Store::open(&path).unwrap());
    assert!(!knows(&later, &cookie).await, "it was open for good");
    let cookie = unlock(&later, &[]).await.headers[header::SET_COOKIE].to_str().unwrap().to_owned();
    later.store.set_passphrase_hash(&hash_passphrase("three herons at noon").unwrap()).unwrap();
    let changed = Workshop::of(later.folder, later.store);
    assert!(!knows(&changed, &cookie).await, "the old passphrase still opens it");
}

#[tokio::test]
async fn who_guesses_waits_and_longer_each_time() {
    let workshop = locked();
    let wrong = json!({ "passphrase": "three herons at dawn" });
    for _ in 0..3 {
        assert_eq!(workshop.post("/api/session", &wrong).await.status, StatusCode::UNAUTHORIZED);
    }
    let waits = workshop.post("/api/session", &wrong).await;
    assert_eq!(waits.status, StatusCode::TOO_MANY_REQUESTS);
    assert!(waits.json()["detail"].as_str().unwrap().contains("Try again in 1 second."), "{}", waits.text());
    // The right one waits as well: nobody learns anything by trying on.
    assert_eq!(unlock(&workshop, &[]).await.status, StatusCode::TOO_MANY_REQUESTS);
}

#[rstest]
#[case::plain(&[], false)]
#[case::a_proxy_says_so(&[("x-forwarded-proto", "https")], true)]
#[tokio::test]
async fn behind_tls_the_cookie_is_sent_there_only(#[case] headers: &[(&str, &str)], #[case] secure: bool) {
    let reply = unlock(&locked(), headers).await;
    let cookie = reply.headers[header::SET_COOKIE].to_str().unwrap();
    assert_eq!(cookie.contains("; Secure"), secure, "{cookie}");
}

#[test]
fn it_does_not_listen_beyond_loopback_without_a_passphrase() {
    let folder = tempfile::tempdir().unwrap();
    let output = Command::new(env!("CARGO_BIN_EXE_lorimant"))
        .args(["serve", "--listen", "0.0.0.0", "--port", "0", "--data"])
        .arg(folder.path().join("workshop.lorimant"))
        .output()
        .unwrap();
    assert!(!output.status.success());
    let text = String::from_utf8_lossy(&output.stderr);
    assert!(text.contains("has no passphrase"), "{text}");
}

/// Every path of the description answers, and nothing is named twice.
#[tokio::test]
async fn the_description_is_true() {
    let described: Value = serde_json::from_str(&openapi()).unwrap();
    let workshop = Workshop::demo();
    assert_eq!(workshop.get("/api/openapi.json").await.json(), described);
    let mut names = HashSet::new();
    for (path, methods) in described["paths"].as_object().unwrap() {
        for (method, operation) in methods.as_object().unwrap() {
            assert!(names.insert(operation["operationId"].to_string()), "{} twice", operation["operationId"]);
            let real = path.replace("{id}", "1").replace("{batch}", "1").replace("{set}", "dowels");
            let real = real.replace("{file}", "plan.csv").replace("{line}", "0").replace("{n}", "1");
            let reply = workshop.ask(&method.to_uppercase(), &real, "{}").await;
            assert_ne!(reply.status, StatusCode::METHOD_NOT_ALLOWED, "{method} {path}");
            assert!(!reply.text().contains("There is nothing at"), "{method} {path} is not there");
        }
    }
    let metal = &described["components"]["schemas"]["Metal"]["enum"];
    assert!(metal.as_array().unwrap().contains(&json!("gold-14k")));
}

/// Each device is listed with its name; one that is signed out is asked for the passphrase, the others are not, and a
/// restart does not let it in again.
#[tokio::test]
async fn a_device_is_signed_out_from_another() {
    let workshop = locked();
    let phone = "Mozilla/5.0 (Linux; Android 14) AppleWebKit/537.36 (KHTML, like Gecko) Chrome/126.0 Mobile Safari/537.36";
    let desk = "Mozilla/5.0 (X11; Linux x86_64; rv:140.0) Gecko/20100101 Firefox/140.0";
    let cookie = async |agent: &str| {
        let unlocked = unlock(&workshop, &[(header::USER_AGENT.as_str(), agent)]).await;
        let cookie = unlocked.headers[header::SET_COOKIE].to_str().unwrap();
        cookie.split(';').next().unwrap().to_owned()
    };
    let (phone, desk) = (cookie(phone).await, cookie(desk).await);
    let asked = |cookie: &str, method: &str, path: &str| {
        let request = Request::builder().method(method).uri(path).header(header::HOST, ADDRESS);
        request.header(header::COOKIE, cookie).body(Body::empty()).unwrap()
    };
    let ask = async |method: &str, path: &str| workshop.send(asked(&desk, method, path)).await;
    let devices = ask("GET", "/api/devices").await.json();
    let named: Vec<_> =
        devices.as_array().unwrap().iter().map(|one| (&one["name"], &one["current"])).collect();
    assert_eq!(
        named,
        [(&json!("Firefox on Linux"), &json!(true)), (&json!("Chrome on Android"), &json!(false))]
    );
    let path = format!("/api/devices/{}", devices[1]["id"].as_str().unwrap());
    assert!(knows(&workshop, &phone).await);
    assert_eq!(ask("DELETE", &path).await.status, StatusCode::NO_CONTENT);
    assert!(!knows(&workshop, &phone).await, "it is still signed in");
    assert_eq!(ask("DELETE", &path).await.status, StatusCode::NOT_FOUND);
    assert!(knows(&workshop, &desk).await, "the other one was signed out too");
    // A restore keeps who is in, by name, whatever the copy says.
    let (file, copy) =
        (workshop.folder.path().join("workshop.lorimant"), workshop.folder.path().join("copy"));
    drop(Store::open(&copy).unwrap());
    workshop.store.restore(&copy).unwrap();
    let Workshop { folder, store, router } = workshop;
    drop((store, router));
    let again = Workshop::of(folder, Store::open(&file).unwrap());
    let devices = again.send(asked(&desk, "GET", "/api/devices")).await.json();
    assert_eq!((devices.as_array().unwrap().len(), &devices[0]["name"]), (1, &json!("Firefox on Linux")));
    assert!(!knows(&again, &phone).await, "a restart let it in again");
    assert!(knows(&again, &desk).await);
}
