//! The passphrase and the sessions it opens.

use std::collections::HashMap;
use std::net::IpAddr;
use std::sync::{Arc, Mutex, MutexGuard, PoisonError};
use std::time::{Duration, Instant};

use argon2::Argon2;
use argon2::password_hash::{PasswordHash, PasswordHasher, PasswordVerifier, SaltString};
use axum::http::{HeaderMap, header};
use rand::RngCore;
use sha2::{Digest, Sha256};
use tokio::sync::Semaphore;
use tokio::task::JoinHandle;

use crate::store::sessions::{self, Session, Token};
use crate::store::{Store, StoreError};
use lorimant_text::text;

const COOKIE: &str = "lorimant_session";
/// A session that is not used for so long is over, s: a working day and the evening.
const IDLE_S: i64 = 12 * 3600;
/// How old the time of last use in the file may get, s.
const NOTED_EVERY_S: i64 = 600;
/// Wrong passphrases anyone may type before there is a wait.
const FREE_TRIES: u32 = 3;
/// The longest wait after a wrong passphrase.
const LONGEST_WAIT: Duration = Duration::from_secs(300);
/// Places whose wrong tries are remembered at a time.
const MOST_PLACES: usize = 1000;

/// How often it is looked whether the passphrase was changed.
const LOOK: Duration = Duration::from_secs(1);

/// Hashes a passphrase with Argon2id and a fresh salt.
///
/// # Errors
/// A sentence when it is shorter than ten characters, blanks at its ends left out.
pub fn hash_passphrase(passphrase: &str) -> Result<String, String> {
    if passphrase.trim().chars().count() < 10 {
        return Err(text!("api-session-passphrase-shorter-than-10-characters").to_owned());
    }
    let mut salt = [0u8; 16];
    rand::rng().fill_bytes(&mut salt);
    let salt = SaltString::encode_b64(&salt).map_err(|error| error.to_string())?;
    let hash = Argon2::default().hash_password(passphrase.as_bytes(), &salt);
    hash.map(|hash| hash.to_string()).map_err(|error| error.to_string())
}

/// Why the workshop was not unlocked.
#[derive(Debug, Clone, Copy, PartialEq)]
pub(crate) enum Unopened {
    /// It is not the passphrase.
    Wrong,
    /// It was tried too often: nothing is looked at before so long.
    Wait(Duration),
}

/// A session, and when the file was last told that it is used, in seconds since 1970.
#[derive(Debug, Clone)]
struct Open {
    session: Session,
    noted_at: i64,
}

/// A device that has unlocked the workshop.
#[derive(Debug, Clone, PartialEq)]
pub(crate) struct Device {
    /// Told from the others by this: the head of its token's hash.
    pub id: String,
    /// What it is called.
    pub name: String,
    /// When it signed in, in seconds since 1970; 0 where that is not known.
    pub opened_at: i64,
    /// When it was last used, in seconds since 1970.
    pub last_used_at: i64,
    /// Whether it is the one that asks.
    pub current: bool,
}

/// Wrong tries from one place, and when the last was.
type Tries = HashMap<Option<IpAddr>, (u32, Instant)>;

/// Who has unlocked the workshop. Only hashes of session tokens are held.
#[derive(Clone)]
pub(crate) struct Sessions {
    hash: Arc<Mutex<Option<Arc<str>>>>,
    store: Store,
    open: Arc<Mutex<HashMap<Token, Open>>>,
    tries: Arc<Mutex<Tries>>,
    /// One guess at a time: Argon2's cost then bounds how fast anyone can guess.
    guesses: Arc<Semaphore>,
}

fn held<T>(mutex: &Mutex<T>) -> MutexGuard<'_, T> {
    mutex.lock().unwrap_or_else(PoisonError::into_inner)
}

fn now() -> i64 {
    jiff::Timestamp::now().as_second()
}

impl Sessions {
    /// The sessions that were open when the server last stopped.
    pub fn of(store: Store) -> Result<Self, StoreError> {
        let hash = store.passphrase_hash()?.map(Arc::from);
        let open = store.read(sessions::all)?;
        let known = |session: Session| Open { noted_at: session.seen_at, session };
        let open = open.into_iter().map(|(token, session)| (token, known(session))).collect();
        let (open, guesses) = (Arc::new(Mutex::new(open)), Arc::new(Semaphore::new(1)));
        let sessions = Self { hash: Arc::new(Mutex::new(hash)), store, open, tries: Arc::default(), guesses };
        if let Ok(runtime) = tokio::runtime::Handle::try_current() {
            runtime.spawn(sessions.clone().follow());
        }
        Ok(sessions)
    }

    /// Follows the passphrase in the file, which the command line may set while this server runs: a new one ends every
    /// session.
    async fn follow(self) {
        let mut looks = tokio::time::interval(LOOK);
        loop {
            looks.tick().await;
            let sessions = self.clone();
            if tokio::task::spawn_blocking(move || sessions.look()).await.is_err() {
                return;
            }
        }
    }

    fn look(&self) {
        let Ok(now) = self.store.passphrase_hash() else { return };
        let mut known = held(&self.hash);
        if known.as_deref() != now.as_deref() {
            *known = now.map(Arc::from);
            held(&self.open).clear();
            tracing::info!("the passphrase was changed: every session is over");
        }
    }

    /// Whether a passphrase is set.
    pub fn wanted(&self) -> bool {
        held(&self.hash).is_some()
    }

    /// Whether these headers carry an open session, which is then in use.
    pub fn knows(&self, headers: &HeaderMap) -> bool {
        let Some(token) = token(headers).map(digest) else { return false };
        let now = now();
        let mut open = held(&self.open);
        let Some(one) = open.get_mut(&token) else { return false };
        if now.saturating_sub(one.session.seen_at) > IDLE_S {
            open.remove(&token);
            drop(open);
            self.note(move |t| sessions::close(t, &token));
            return false;
        }
        one.session.seen_at = now;
        if now.saturating_sub(one.noted_at) > NOTED_EVERY_S {
            one.noted_at = now;
            let session = one.session.clone();
            drop(open);
            self.note(move |t| sessions::note(t, &token, &session));
        }
        true
    }

    /// Writes of a session, whenever the file is free; where it cannot be written, the session lasts until the stop.
    fn note(
        &self,
        write: impl FnOnce(&rusqlite::Transaction) -> Result<(), StoreError> + Send + 'static,
    ) -> JoinHandle<()> {
        let store = self.store.clone();
        tokio::task::spawn_blocking(move || {
            if let Err(error) = store.write(write) {
                tracing::warn!(%error, "a session was not noted in the file");
            }
        })
    }

    /// Opens a session for a device if the passphrase is right; gives its token. After three wrong ones from a place the
    /// wait doubles with each.
    pub async fn unlock(
        &self,
        passphrase: String,
        from: Option<IpAddr>,
        device: String,
    ) -> Result<String, Unopened> {
        let hash = held(&self.hash).clone().ok_or(Unopened::Wrong)?;
        let _turn = self.guesses.acquire().await.map_err(|_| Unopened::Wrong)?;
        if let Some(wait) = self.wait(from) {
            return Err(Unopened::Wait(wait));
        }
        let right = tokio::task::spawn_blocking(move || {
            let hash = PasswordHash::new(&hash).ok()?;
            Argon2::default().verify_password(passphrase.as_bytes(), &hash).ok()
        });
        if right.await.ok().flatten().is_none() {
            let from_where = from.map_or_else(|| "here".to_owned(), |from| from.to_string());
            tracing::warn!(from = from_where, "a wrong passphrase");
            let mut tries = held(&self.tries);
            if tries.len() >= MOST_PLACES {
                tries.retain(|_, (_, last)| last.elapsed() < LONGEST_WAIT);
            }
            let (n, last) = tries.entry(from).or_insert((0, Instant::now()));
            (*n, *last) = (n.saturating_add(1), Instant::now());
            return Err(Unopened::Wrong);
        }
        held(&self.tries).remove(&from);
        let mut bytes = [0u8; 32];
        rand::rng().fill_bytes(&mut bytes);
        let token: String = bytes.iter().map(|byte| format!("{byte:02x}")).collect();
        let (hashed, at) = (digest(&token), now());
        let session = Session { device, opened_at: at, seen_at: at };
        held(&self.open).insert(hashed, Open { session: session.clone(), noted_at: at });
        // Written before it is said, so that a restart does not lock out who has just come in.
        let _ = self.note(move |t| sessions::note(t, &hashed, &session)).await;
        Ok(token)
    }

    /// How long a place must still wait before it is listened to.
    fn wait(&self, from: Option<IpAddr>) -> Option<Duration> {
        let (n, last) = *held(&self.tries).get(&from)?;
        let doublings = n.checked_sub(FREE_TRIES)?;
        let wait = Duration::from_secs(1 << doublings.min(16)).min(LONGEST_WAIT);
        wait.checked_sub(last.elapsed()).filter(|left| !left.is_zero())
    }

    /// The devices that have unlocked the workshop, the last used first; `headers` are of the one that asks.
    pub fn devices(&self, headers: &HeaderMap) -> Vec<Device> {
        let (asks, now) = (token(headers).map(digest), now());
        let open = held(&self.open);
        let in_use = open.iter().filter(|(_, one)| now.saturating_sub(one.session.seen_at) <= IDLE_S);
        let mut devices: Vec<Device> = in_use
            .map(|(token, one)| Device {
                id: id_of(token),
                name: one.session.device.clone(),
                opened_at: one.session.opened_at,
                last_used_at: one.session.seen_at,
                current: asks.as_ref() == Some(token),
            })
            .collect();
        devices.sort_by(|a, b| (b.current, b.last_used_at, &a.id).cmp(&(a.current, a.last_used_at, &b.id)));
        devices
    }

    /// Signs a device out: its next request is asked for the passphrase. False where there is none of that id.
    pub async fn sign_out(&self, id: &str) -> bool {
        let token = held(&self.open).keys().find(|token| id_of(token) == id).copied();
        let Some(token) = token else { return false };
        held(&self.open).remove(&token);
        // Written before it is said, so that a restart does not let it in again.
        let _ = self.note(move |t| sessions::close(t, &token)).await;
        true
    }

    /// Closes the session of these headers.
    pub fn lock(&self, headers: &HeaderMap) {
        if let Some(token) = token(headers).map(digest)
            && held(&self.open).remove(&token).is_some()
        {
            self.note(move |t| sessions::close(t, &token));
        }
    }
}

/// The cookie of a session, or with no token the one that clears it. Behind TLS a browser is to send it there only.
pub(crate) fn cookie(token: Option<&str>, headers: &HeaderMap) -> String {
    let secure = behind_tls(headers);
    let (token, over) = token.map_or(("", "; Max-Age=0"), |token| (token, ""));
    let secure = if secure { "; Secure" } else { "" };
    format!("{COOKIE}={token}; HttpOnly; SameSite=Strict; Path=/{over}{secure}")
}

/// Whether a request came through a proxy with TLS.
pub(crate) fn behind_tls(headers: &HeaderMap) -> bool {
    let text = |name| headers.get(name).and_then(|value: &header::HeaderValue| value.to_str().ok());
    text("origin").is_some_and(|origin| origin.starts_with("https://"))
        || text("x-forwarded-proto").is_some_and(|how| how.eq_ignore_ascii_case("https"))
}

fn token(headers: &HeaderMap) -> Option<&str> {
    let cookies = headers.get(header::COOKIE)?.to_str().ok()?;
    cookies.split(';').find_map(|cookie| cookie.trim().strip_prefix(COOKIE)?.strip_prefix('='))
}

/// Tells one session from the others without giving its hash away.
fn id_of(token: &Token) -> String {
    token[..8].iter().map(|byte| format!("{byte:02x}")).collect()
}

fn digest(token: &str) -> Token {
    Sha256::digest(token.as_bytes()).into()
}
