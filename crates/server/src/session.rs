//! The passphrase and the sessions it opens.

use std::collections::HashSet;
use std::sync::{Arc, Mutex, PoisonError};

use argon2::Argon2;
use argon2::password_hash::{PasswordHash, PasswordHasher, PasswordVerifier, SaltString};
use axum::http::{HeaderMap, header};
use rand::RngCore;
use sha2::{Digest, Sha256};
use tokio::sync::Semaphore;

const COOKIE: &str = "lorimant_session";

/// Hashes a passphrase with Argon2id and a fresh salt.
///
/// # Errors
/// A sentence when it is shorter than ten characters.
pub fn hash_passphrase(passphrase: &str) -> Result<String, String> {
    if passphrase.chars().count() < 10 {
        return Err("The passphrase is shorter than 10 characters. A few words make a good one.".to_owned());
    }
    let mut salt = [0u8; 16];
    rand::rng().fill_bytes(&mut salt);
    let salt = SaltString::encode_b64(&salt).map_err(|error| error.to_string())?;
    let hash = Argon2::default().hash_password(passphrase.as_bytes(), &salt);
    hash.map(|hash| hash.to_string()).map_err(|error| error.to_string())
}

/// Who has unlocked the workshop. Only hashes of session tokens are held.
#[derive(Clone)]
pub(crate) struct Sessions {
    hash: Option<Arc<str>>,
    open: Arc<Mutex<HashSet<[u8; 32]>>>,
    /// One guess at a time: Argon2's cost then bounds how fast anyone can guess.
    guesses: Arc<Semaphore>,
}

impl Sessions {
    pub fn new(hash: Option<String>) -> Self {
        Self { hash: hash.map(Arc::from), open: Arc::default(), guesses: Arc::new(Semaphore::new(1)) }
    }

    /// Whether a passphrase is set.
    pub fn wanted(&self) -> bool {
        self.hash.is_some()
    }

    /// Whether these headers carry an open session.
    pub fn knows(&self, headers: &HeaderMap) -> bool {
        let open = self.open.lock().unwrap_or_else(PoisonError::into_inner);
        token(headers).is_some_and(|token| open.contains(&digest(token)))
    }

    /// Opens a session if the passphrase is right; gives the cookie to set.
    pub async fn unlock(&self, passphrase: String) -> Option<String> {
        let hash = self.hash.clone()?;
        let _turn = self.guesses.acquire().await.ok()?;
        let right = tokio::task::spawn_blocking(move || {
            let hash = PasswordHash::new(&hash).ok()?;
            Argon2::default().verify_password(passphrase.as_bytes(), &hash).ok()
        });
        right.await.ok()??;
        let mut bytes = [0u8; 32];
        rand::rng().fill_bytes(&mut bytes);
        let token: String = bytes.iter().map(|byte| format!("{byte:02x}")).collect();
        self.open.lock().unwrap_or_else(PoisonError::into_inner).insert(digest(&token));
        Some(format!("{COOKIE}={token}; HttpOnly; SameSite=Strict; Path=/"))
    }

    /// Closes the session of these headers; gives the cookie that clears it.
    pub fn lock(&self, headers: &HeaderMap) -> String {
        if let Some(token) = token(headers) {
            self.open.lock().unwrap_or_else(PoisonError::into_inner).remove(&digest(token));
        }
        format!("{COOKIE}=; HttpOnly; SameSite=Strict; Path=/; Max-Age=0")
    }
}

fn token(headers: &HeaderMap) -> Option<&str> {
    let cookies = headers.get(header::COOKIE)?.to_str().ok()?;
    cookies.split(';').find_map(|cookie| cookie.trim().strip_prefix(COOKIE)?.strip_prefix('='))
}

fn digest(token: &str) -> [u8; 32] {
    Sha256::digest(token.as_bytes()).into()
}
