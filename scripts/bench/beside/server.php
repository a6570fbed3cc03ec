<?php
// Debian's php-sabre-dav with an address book of its own in SQLite, as its documentation sets one up, to compare the hub with.
// BOOK names the file of the store, which is made with its tables where it is missing; somebody called admin signs in with "admin".
error_reporting(E_ALL & ~E_DEPRECATED);
date_default_timezone_set('UTC');
$isNew = !file_exists(getenv('BOOK'));
$pdo = new PDO('sqlite:' . getenv('BOOK'));
$pdo->setAttribute(PDO::ATTR_ERRMODE, PDO::ERRMODE_EXCEPTION);
$pdo->exec('PRAGMA busy_timeout = 10000');
if ($isNew) {
    foreach (['principals', 'users', 'addressbooks'] as $one) {
        $pdo->exec(file_get_contents("/usr/share/doc/php-sabre-dav/examples/sql/sqlite.$one.sql"));
    }
    $pdo->exec("INSERT INTO addressbooks (principaluri, displayname, uri, description, ctag) VALUES ('principals/admin', 'cards', 'cards', '', 1)");
    $pdo->exec('CREATE INDEX cards_uri ON cards (addressbookid, uri)');
}
require_once 'Sabre/autoload.php';

class Door extends Sabre\DAV\Auth\Backend\AbstractBasic
{
    protected function validateUserPass($user, $password)
    {
        return $user === 'admin' && $password === 'admin';
    }
}

$principals = new Sabre\DAVACL\PrincipalBackend\PDO($pdo);
$books = new Sabre\CardDAV\Backend\PDO($pdo);
$server = new Sabre\DAV\Server([
    new Sabre\DAVACL\PrincipalCollection($principals),
    new Sabre\CardDAV\AddressBookRoot($principals, $books),
]);
$server->setBaseUri('/');
$server->addPlugin(new Sabre\DAV\Auth\Plugin(new Door(), 'bench'));
$server->addPlugin(new Sabre\CardDAV\Plugin());
$server->addPlugin(new Sabre\DAVACL\Plugin());
$server->exec();
