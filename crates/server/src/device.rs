//! The device a request comes from, as a person would name it: what was written remembers it, so that whoever takes
//! something back is told who went on with it.

use lorimant_text::{Text, text};
use std::cell::RefCell;
use std::net::SocketAddr;

use axum::http::{HeaderMap, header};

tokio::task_local! {
    /// The device of the request that is being answered.
    static OF_REQUEST: String;
}

thread_local! {
    /// The device that the write on this thread is for.
    static OF_WRITE: RefCell<String> = const { RefCell::new(String::new()) };
}

/// Browsers by a word of their user agent, in the order they are told apart: most also name the later ones.
const BROWSERS: [(&str, &str); 5] = [
    ("Firefox/", "Firefox"),
    ("Edg/", "Edge"),
    ("OPR/", "Opera"),
    ("Chrome/", "Chrome"),
    ("Safari/", "Safari"),
];

/// Systems by a word of the user agent, in the order they are told apart.
const SYSTEMS: [(&str, Text); 7] = [
    ("iPhone", Text::named("api-device-iphone")),
    ("iPad", Text::named("api-device-ipad")),
    ("Android", Text::named("api-device-android")),
    ("Windows", Text::named("api-device-windows")),
    ("Mac OS", Text::named("api-device-mac")),
    ("CrOS", Text::named("api-device-chromebook")),
    ("Linux", Text::named("api-device-linux")),
];

/// Names the device of a request: `Firefox on Linux`, `Chrome on Android (192.168.1.20)`.
#[must_use]
pub(crate) fn named(headers: &HeaderMap, from: Option<SocketAddr>) -> String {
    let agent = headers.get(header::USER_AGENT).and_then(|agent| agent.to_str().ok()).unwrap_or_default();
    let browser = BROWSERS.iter().find(|(word, _)| agent.contains(word)).map(|(_, named)| *named);
    let system = SYSTEMS.iter().find(|(word, _)| agent.contains(word)).map(|(_, named)| *named);
    let name = match (browser, system) {
        (Some(browser), Some(system)) => text!("api-device-on", browser, system),
        (Some(browser), None) => browser.to_owned(),
        (None, Some(system)) => text!("api-device-program-on", system),
        (None, None) => text!("api-device-program").to_owned(),
    };
    match from.map(|from| from.ip().to_canonical()).filter(|ip| !ip.is_loopback()) {
        Some(ip) => format!("{name} ({ip})"),
        None => name,
    }
}

/// Answers a request for a device.
pub(crate) async fn answering<T>(device: String, answer: impl Future<Output = T>) -> T {
    OF_REQUEST.scope(device, answer).await
}

/// The device of the request that is being answered; empty outside of one.
pub(crate) fn of_request() -> String {
    OF_REQUEST.try_with(Clone::clone).unwrap_or_default()
}

/// Does some work of the file for a device, on this thread.
pub(crate) fn working_for<T>(device: String, work: impl FnOnce() -> T) -> T {
    /// Nobody's again afterwards, also where the work panics.
    struct Nobodys;

    impl Drop for Nobodys {
        fn drop(&mut self) {
            OF_WRITE.take();
        }
    }

    OF_WRITE.set(device);
    let _after = Nobodys;
    work()
}

/// The device that the write on this thread is for; empty where nobody asked for it.
pub(crate) fn of_write() -> String {
    OF_WRITE.with_borrow(Clone::clone)
}

#[cfg(test)]
mod tests {
    use rstest::rstest;

    use super::*;

    #[rstest]
    #[case("Mozilla/5.0 (X11; Linux x86_64; rv:140.0) Gecko/20100101 Firefox/140.0", "Firefox on Linux")]
    #[case(
        "Mozilla/5.0 (Linux; Android 14; Pixel) AppleWebKit/537.36 (KHTML, like Gecko) Chrome/126.0 Mobile Safari/537.36",
        "Chrome on Android"
    )]
    #[case(
        "Mozilla/5.0 (iPhone; CPU iPhone OS 17_5 like Mac OS X) AppleWebKit/605.1.15 (KHTML, like Gecko) Version/17.5 Safari/604.1",
        "Safari on an iPhone"
    )]
    #[case("curl/8.5.0", "a program")]
    fn a_device_is_named_as_a_person_would(#[case] agent: &str, #[case] named_so: &str) {
        let mut headers = HeaderMap::new();
        headers.insert(header::USER_AGENT, agent.parse().unwrap());
        assert_eq!(named(&headers, Some("127.0.0.1:5000".parse().unwrap())), named_so);
        let elsewhere = named(&headers, Some("192.168.1.20:5000".parse().unwrap()));
        assert_eq!(elsewhere, format!("{named_so} (192.168.1.20)"));
    }
}
